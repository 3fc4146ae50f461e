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
        return self::inMonth((int) (new DateTimeImmutable("@{$unixS}"))->setTimezone($zone)->format('n'));
    }

    /** @param int $month 1 to 12 */
    public static function inMonth(int $month): self
    {
        return $month >= 4 && $month <= 9 ? self::Summer : self::Winter;
    }

    /** @return list<array{int, int}> from when until before when it was this one, Unix seconds, in all years from one instant to another */
    public function spans(int $fromS, int $untilS, DateTimeZone $zone): array
    {
        $year = fn(int $unixS): int => (int) (new DateTimeImmutable("@{$unixS}"))->setTimezone($zone)->format('Y');
        $start = fn(int $year, int $month): int => (new DateTimeImmutable(sprintf('%04d-%02d-01', $year, $month), $zone))->getTimestamp();

        return array_map(
            fn(int $y) => $this === self::Summer ? [$start($y, 4), $start($y, 10)] : [$start($y, 10), $start($y + 1, 4)],
            range($year($fromS) - 1, $year($untilS)),
        );
    }
}
