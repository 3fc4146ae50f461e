<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;

/** What a bike was ridden in whole weeks before this one: any of them may come again. */
final readonly class PastWeeks
{
    /** House rule: so many count, a season. */
    private const MOST = 13;

    /** @return list<list<float>> seven effective km each, from Monday, the newest first; none before its first ride, nor one left out */
    public static function of(Book $book, int $bikeId, LocalDay $today): array
    {
        return array_values(self::byMonday($book, $bikeId, $today));
    }

    /** @return array<string, list<float>> the same by their Mondays, YYYY-MM-DD */
    public static function byMonday(Book $book, int $bikeId, LocalDay $today): array
    {
        $rides = $book->ridesOf($bikeId);
        $firstS = $rides->first()?->moment->unixS;
        if ($firstS === null) {
            return [];
        }
        $monday = $today->plus(1 - $today->weekday());
        $leftOut = $book->settings->oddWeeks($bikeId);
        // Whole weeks since its first one, ridden or not.
        [$weeks, $mondays] = [0, []];
        while (count($mondays) < self::MOST && $firstS < $monday->plus(-7 * $weeks)->startS()) {
            $weeks++;
            $of = $monday->plus(-7 * $weeks)->date;
            in_array($of, $leftOut, true) || ($mondays[$weeks] = $of);
        }
        $ridden = array_reverse(array_chunk(RiddenDays::of($book, $bikeId, $monday->plus(-7 * $weeks), 7 * $weeks)->km, 7));

        return array_combine($mondays, array_map(fn(int $ago) => $ridden[$ago - 1], array_keys($mondays)));
    }
}
