<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Interval\EarSeason;
use Dripel\Core\Logbook\Book;

/** What a bike was ridden in whole weeks before this one: any of them may come again. */
final readonly class PastWeeks
{
    /** House rule: so many count, a season. */
    private const MOST = 13;

    /** House rule: fewer of the same half of the year do not tell how a bike is ridden in it. */
    private const ENOUGH = 9;

    /** A year and a season: what was done in the same weeks of the year before counts, what is older does not. */
    private const FURTHEST = 52 + self::MOST;

    /**
     * The newest of the same half of the year, where there are enough; else the newest.
     *
     * @return list<list<float>> seven effective km each, from Monday, the newest first; none before its first ride, nor one left out
     */
    public static function of(Book $book, int $bikeId, LocalDay $today): array
    {
        $zone = $book->settings->zone();
        $season = self::seasonOf($today);
        $newest = self::byMonday($book, $bikeId, $today);
        $isOfIt = fn(string $monday): bool => self::seasonOf(LocalDay::named($monday, $zone)) === $season;
        if (array_all(array_keys($newest), $isOfIt)) {
            return array_values($newest);
        }
        $like = array_filter(self::byMonday($book, $bikeId, $today, self::FURTHEST), $isOfIt, ARRAY_FILTER_USE_KEY);

        return array_values(count($like) < self::ENOUGH ? $newest : array_slice($like, 0, self::MOST));
    }

    /** A week is of the half of the year in which its Thursday is. */
    private static function seasonOf(LocalDay $day): EarSeason
    {
        return EarSeason::inMonth($day->plus(4 - $day->weekday())->month());
    }

    /** @return array<string, list<float>> the newest by their Mondays, YYYY-MM-DD */
    public static function byMonday(Book $book, int $bikeId, LocalDay $today, int $most = self::MOST): array
    {
        return $book->kept("weeks {$bikeId} {$today->date} {$most}", fn() => self::ridden($book, $bikeId, $today, $most));
    }

    /** @return array<string, list<float>> */
    private static function ridden(Book $book, int $bikeId, LocalDay $today, int $most): array
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
        while (count($mondays) < $most && $firstS < $monday->plus(-7 * $weeks)->startS()) {
            $weeks++;
            $of = $monday->plus(-7 * $weeks)->date;
            in_array($of, $leftOut, true) || ($mondays[$weeks] = $of);
        }
        $ridden = array_reverse(array_chunk(RiddenDays::of($book, $bikeId, $monday->plus(-7 * $weeks), 7 * $weeks)->km, 7));

        return array_combine($mondays, array_map(fn(int $ago) => $ridden[$ago - 1], array_keys($mondays)));
    }
}
