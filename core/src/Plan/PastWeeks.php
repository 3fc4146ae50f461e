<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;

/** What a bike was ridden in whole weeks before this one: any of them may come again. */
final readonly class PastWeeks
{
    /** House rule: so many count, a season. */
    private const MOST = 13;

    /** @return list<list<float>> seven effective km each, from Monday, the newest first; none before its first ride */
    public static function of(Book $book, int $bikeId, LocalDay $today): array
    {
        $rides = $book->ridesOf($bikeId);
        if ($rides === []) {
            return [];
        }
        $monday = $today->plus(1 - $today->weekday());
        $weeks = [];
        for ($back = 1; $back <= self::MOST; $back++) {
            [$fromS, $untilS] = [$monday->plus(-7 * $back)->startS(), $monday->plus(7 - 7 * $back)->startS()];
            if ($untilS <= $rides[0]->moment->unixS) {
                break;
            }
            $week = array_fill(0, 7, 0.0);
            foreach ($rides as $ride) {
                if ($ride->moment->unixS >= $fromS && $ride->moment->unixS < $untilS) {
                    $week[$today->sameZone($ride->moment->unixS)->weekday() - 1] +=
                        $ride->km * $book->settings->factor($ride->condition, $ride->moment->unixS);
                }
            }
            $weeks[] = array_values($week);
        }

        return $weeks;
    }
}
