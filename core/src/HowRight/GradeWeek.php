<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PastWeeks;
use Dripel\Core\Plan\PlannedRide;
use Dripel\Core\Plan\RiddenDays;

/**
 * What each bike is ridden in a week, against the weeks before it: all that looks ahead expects one like them. Eight of ten lie between the
 * tenth and the ninetieth of a hundred of them.
 */
final readonly class GradeWeek
{
    /** Fewer weeks have no ends to speak of. */
    private const LEAST_WEEKS = 9;

    private const DAYS = 7;

    /** @return list<GradedPromise> in the order in which they were made; effective km */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS): array
    {
        $zone = $book->settings->zone();
        $promises = [];
        foreach (Mondays::between($fromS, $nowS, $zone) as $madeS) {
            $monday = LocalDay::of($madeS, $zone);
            if ($monday->plus(self::DAYS)->startS() > $nowS) {
                break; // It is not over yet.
            }
            $then = $recorded->asKnown($madeS);
            $meant = $recorded->plannedAt($madeS, $monday->date);
            foreach (array_intersect($then->bikeIds, $book->bikeIds) as $bikeId) {
                $weeks = array_map(array_sum(...), PastWeeks::of($then, $bikeId, $monday));
                // Of a week with rides that are meant one by one nobody says that it is like the others.
                $special = array_any(
                    $meant,
                    fn(PlannedRide $ride) => array_any(
                        range(0, self::DAYS - 1),
                        fn(int $n) => $ride->concerns($monday->plus($n)->date, $bikeId),
                    ),
                );
                if ($special || count($weeks) < self::LEAST_WEEKS || array_sum($weeks) <= 0.0) {
                    continue;
                }
                $came = array_sum(RiddenDays::of($book, $bikeId, $monday, self::DAYS)->km);
                [$low, $mean, $high] = [self::quantile($weeks, 0.1), array_sum($weeks) / count($weeks), self::quantile($weeks, 0.9)];
                $kept = $came >= $low && $came <= $high;
                $promises[] = new GradedPromise(
                    PromiseKind::Week,
                    $madeS,
                    $bikeId,
                    null,
                    $kept,
                    $mean,
                    $came,
                    0.8,
                    $low,
                    $high,
                    off: $kept ? 0.0 : max($low - $came, $came - $high) / max(1.0, $high - $low),
                );
            }
        }

        return $promises;
    }

    /**
     * The next of so many alike lies below it with this likelihood.
     *
     * @param non-empty-list<float> $of at least 1/p of them
     */
    private static function quantile(array $of, float $p): float
    {
        sort($of);
        $place = $p * (count($of) + 1) - 1.0;
        $below = (int) floor($place);

        return $of[$below] + ($place - $below) * ($of[min($below + 1, count($of) - 1)] - $of[$below]);
    }
}
