<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use DateTimeImmutable;
use DateTimeZone;

/** The two halves of a year that wax knows apart: house rule. */
enum EarSeason: string
{
    /** April to September. */
    case Summer = 'summer';
    /** October to March. */
    case Winter = 'winter';

    public static function of(int $unixS, DateTimeZone $zone): self
    {
        $month = (int) (new DateTimeImmutable("@{$unixS}"))->setTimezone($zone)->format('n');

        return $month >= 4 && $month <= 9 ? self::Summer : self::Winter;
    }
}
