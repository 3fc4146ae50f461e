<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Maths\Median;

/**
 * A week in which a bike was ridden otherwise than is usual for it: hardly at all, or far more. A holiday and a tour make every habit
 * wrong for two months; whoever knows that it was one takes the week out of what is usual, and nobody else does.
 */
final readonly class OddWeek
{
    /** House rules: less than a quarter of the middle week, or more than two and a half times as much; from six weeks on. */
    private const LITTLE = 0.25;

    private const MUCH = 2.5;

    private const LEAST_WEEKS = 6;

    /**
     * @param string $monday YYYY-MM-DD
     * @param float $km effective, in that week
     * @param float $usualKm the middle one of the weeks that count
     */
    private function __construct(public int $bikeId, public string $monday, public float $km, public float $usualKm) {}

    /** @return list<self> of the last eight whole weeks those that still count, the newest first */
    public static function of(Book $book, int $bikeId, LocalDay $today): array
    {
        $weeks = array_map(array_sum(...), PastWeeks::byMonday($book, $bikeId, $today));
        if (count($weeks) < self::LEAST_WEEKS) {
            return [];
        }
        $usualKm = Median::of($weeks);
        $odd = [];
        foreach (array_slice($weeks, 0, RidingHabit::WEEKS, true) as $monday => $km) {
            if ($usualKm > 0.0 && ($km < self::LITTLE * $usualKm || $km > self::MUCH * $usualKm)) {
                $odd[] = new self($bikeId, (string) $monday, $km, $usualKm);
            }
        }

        return $odd;
    }
}
