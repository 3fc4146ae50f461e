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
        $firstS = $rides->first()?->moment->unixS;
        if ($firstS === null) {
            return [];
        }
        $monday = $today->plus(1 - $today->weekday());
        // Whole weeks since its first one, ridden or not.
        $weeks = 0;
        while ($weeks < self::MOST && $firstS < $monday->plus(-7 * $weeks)->startS()) {
            $weeks++;
        }
        $ridden = RiddenDays::of($book, $bikeId, $monday->plus(-7 * $weeks), 7 * $weeks);

        return array_reverse(array_chunk($ridden->km, 7));
    }
}
