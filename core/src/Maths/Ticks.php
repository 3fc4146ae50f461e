<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Round places along an axis: multiples of 1, 2 or 5 times a power of ten that lie within it.
 * Source: P. S. Heckbert, Nice numbers for graph labels, Graphics Gems (1990), p. 61 (memory).
 */
final class Ticks
{
    /** Steps of a clock and a calendar, by about how many seconds they are long. */
    private const CLOCK = [
        60 => '1 minute',
        300 => '5 minutes',
        600 => '10 minutes',
        900 => '15 minutes',
        1_800 => '30 minutes',
        3_600 => '1 hour',
        7_200 => '2 hours',
        10_800 => '3 hours',
        21_600 => '6 hours',
        43_200 => '12 hours',
        86_400 => '1 day',
        172_800 => '2 days',
        604_800 => '7 days',
        1_209_600 => '14 days',
        2_678_400 => '1 month',
        5_356_800 => '2 months',
        7_948_800 => '3 months',
        15_897_600 => '6 months',
        31_622_400 => '1 year',
    ];

    /** @return list<float> about `most` of them, never more than twice as many; one place where the axis has no length */
    public static function along(float $from, float $to, int $most = 5): array
    {
        if ($to <= $from) {
            return [$from];
        }
        $step = self::step(($to - $from) / max(1, $most));
        $ticks = [];
        for ($n = (int) ceil($from / $step - 1e-9); $n * $step <= $to + $step * 1e-9; $n++) {
            $ticks[] = round($n * $step, 12);
        }

        return $ticks;
    }

    /**
     * Instants in Unix seconds that a clock or a calendar would name: whole minutes, hours, days and months of a zone.
     *
     * @return list<float> about `most` of them
     */
    public static function instants(float $fromS, float $toS, DateTimeZone $zone, int $most = 5): array
    {
        $rough = ($toS - $fromS) / max(1, $most);
        foreach (self::CLOCK as $step => $unit) {
            if ($step >= $rough) {
                break;
            }
        }
        $at = (new DateTimeImmutable('@' . (int) $fromS))->setTimezone($zone);
        $at = match (true) {
            str_contains($unit, 'month') || str_contains($unit, 'year') => $at->modify('first day of january this year')->setTime(0, 0),
            default => $at->setTime(0, 0),
        };
        $ticks = [];
        for (; $at->getTimestamp() <= $toS; $at = $at->modify("+{$unit}")) {
            $at->getTimestamp() >= $fromS && ($ticks[] = (float) $at->getTimestamp());
        }

        return $ticks === [] ? [$fromS] : $ticks;
    }

    /** The nice number nearest to what a step should be at least: 1, 2, 5 or 10 times a power of ten. */
    private static function step(float $rough): float
    {
        $power = 10.0 ** floor(log10($rough));
        $share = $rough / $power;

        return $power *
            match (true) {
                $share <= 1.0 + 1e-9 => 1.0,
                $share <= 2.0 + 1e-9 => 2.0,
                $share <= 5.0 + 1e-9 => 5.0,
                default => 10.0,
            };
    }
}
