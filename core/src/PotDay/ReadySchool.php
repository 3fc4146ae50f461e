<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use DateTimeZone;
use Dripel\Core\Plan\LocalDay;

/** When a chain that was dipped may be ridden. Common practice, two schools. */
enum ReadySchool: string
{
    /** Once it is set and cold: the default. */
    case Cold = 'cold';
    /** Not before the next day. */
    case NextDay = 'next_day';

    /** Common practice: wax is set after 10 to 15 minutes on the hook. */
    public const SET_MINUTES = 15;

    /** Unix seconds. */
    public function readyS(int $dippedS, DateTimeZone $zone): int
    {
        $setS = $dippedS + 60 * self::SET_MINUTES;

        return $this === self::Cold ? $setS : max($setS, LocalDay::of($dippedS, $zone)->plus(1)->startS());
    }
}
