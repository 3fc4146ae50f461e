<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\RiddenDays;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * How sure each plan was of each bike, against what was really ridden in its weeks: had its pot days been held, would a ride have been
 * without wax? One plan after the other, so that no week counts twice.
 */
final readonly class GradePlan
{
    /** Fewer than a page takes of its one plan: off by no more than two in a hundred. */
    private const RUNS = 500;

    /** @return list<GradedPromise> in the order in which they were made */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS, ?int $potCapacity, Memo $memo): array
    {
        $zone = $book->settings->zone();
        $weeks = intdiv(PlanTerms::of($book, $potCapacity, $nowS)->days, 7);
        $promises = [];
        foreach (Mondays::between($fromS, $nowS, $zone, max(1, $weeks)) as $madeS) {
            $then = $recorded->asKnown($madeS);
            $today = LocalDay::of($madeS, $zone);
            $terms = PlanTerms::of($then, $potCapacity, $madeS)->over(max(1, $weeks));
            if ($today->plus($terms->days)->startS() > $nowS) {
                break; // It is not over yet.
            }
            $planned = $recorded->plannedAt($madeS, $today->date);
            $plan = WorkshopPlan::of($then, Rail::all($then, $madeS, $zone), $terms, $planned, $madeS, $zone, [], $memo);
            if ($plan->bikes === []) {
                continue;
            }
            $likely = array_column($plan->risk(self::RUNS)->bikes, 'waxed', 'id');
            foreach ($plan->bikes as $bikeId => $bike) {
                // What was planned ride by ride was not said to be likely, but meant.
                if ($plan->riding[$bikeId]->special || !in_array($bikeId, $book->bikeIds, true)) {
                    continue;
                }
                $ridden = RiddenDays::of($book, $bikeId, $today, $terms->days);
                $trouble = $plan->troubleOn($bikeId, $ridden);
                $promises[] = new GradedPromise(
                    PromiseKind::Plan,
                    $madeS,
                    $bikeId,
                    null,
                    $trouble === null,
                    $likely[$bikeId],
                    (float) ($trouble ?? $terms->days),
                    $likely[$bikeId],
                    off: $trouble === null ? 0.0 : $likely[$bikeId],
                );
            }
        }

        return $promises;
    }
}
