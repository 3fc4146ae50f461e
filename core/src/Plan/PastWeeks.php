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
        $settings = $book->settings;
        $monday = $today->plus(1 - $today->weekday());
        // Whole weeks since its first one, ridden or not.
        $weeks = [];
        for ($back = 1; $back <= self::MOST && $rides[0]->moment->unixS < $monday->plus(7 - 7 * $back)->startS(); $back++) {
            $weeks[$monday->plus(-7 * $back)->date] = array_fill(0, 7, 0.0);
        }
        foreach ($weeks === [] ? [] : array_reverse($rides) as $ride) {
            $day = LocalDay::of($ride->moment->unixS, $settings->zone());
            $of = $day->plus(1 - $day->weekday())->date;
            if ($of < array_key_last($weeks)) {
                break;
            }
            if (isset($weeks[$of])) {
                $weeks[$of][$day->weekday() - 1] += $ride->km * $settings->factor($ride->condition, $ride->moment->unixS);
            }
        }

        return array_values(array_map(array_values(...), $weeks));
    }
}
