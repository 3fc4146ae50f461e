<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use DateTimeZone;
use Dripel\Core\Plan\LocalDay;

/** When promises are looked at: on Monday mornings before anybody rides. House rule. */
final readonly class Mondays
{
    private const HOUR = 5;

    /** @return list<int> Unix seconds, the first one first: those at or after an instant and before another, every so many weeks from it */
    public static function between(int $fromS, int $untilS, DateTimeZone $zone, int $everyWeeks = 1): array
    {
        $from = LocalDay::of($fromS, $zone);
        $monday = $from->plus((8 - $from->weekday()) % 7);
        $all = [];
        for (; $monday->atHour(self::HOUR) < $untilS; $monday = $monday->plus(7 * $everyWeeks)) {
            $monday->atHour(self::HOUR) < $fromS || ($all[] = $monday->atHour(self::HOUR));
        }

        return $all;
    }
}
