<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Plan\GoodUntil;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\RiddenDays;
use Dripel\Core\Plan\RidingPlan;

/**
 * The days until which the wax was good, Monday by Monday, against what was really ridden then: would that chain, left alone, have run out
 * sooner? So that a chain that was waxed or swapped in time counts like any other.
 */
final readonly class GradeGoodUntil
{
    /** @param list<GradedPromise> $promises */
    private function __construct(
        public array $promises,
        /** @var list<float> how much longer the rides would have had to be expected for each to be kept, in %; INF: nothing would do */
        public array $marginsPct,
    ) {}

    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS): self
    {
        $zone = $book->settings->zone();
        [$promises, $margins] = [[], []];
        foreach (Mondays::between($fromS, $nowS, $zone) as $madeS) {
            $then = $recorded->asKnown($madeS);
            $today = LocalDay::of($madeS, $zone);
            $planned = $recorded->plannedAt($madeS, $today->date);
            foreach (Rail::all($then, $madeS, $zone) as $rail) {
                if ($rail->fitted === null || $rail->fitted->wax->life?->due() !== false || !self::known($book, $rail, $madeS)) {
                    continue;
                }
                $plan = RidingPlan::of($then, $rail, $planned, GoodUntil::DAYS, $madeS, $zone);
                $until = GoodUntil::of($rail->fitted, $plan, $today);
                if ($until === null) {
                    continue;
                }
                $chain = $book->chain($rail->fitted->chainId, $madeS);
                $days = self::daysUntil($today->startS(), $nowS);
                $ranOut = self::ranOut($chain, RiddenDays::of($book, $rail->bikeId, $today, min(GoodUntil::DAYS, $days)));
                if ($ranOut === null && $days <= $until->daysAhead) {
                    continue; // It is not over yet.
                }
                $kept = $ranOut === null || $ranOut >= $until->daysAhead;
                $promises[] = new GradedPromise(
                    PromiseKind::GoodUntil,
                    $madeS,
                    $rail->bikeId,
                    $rail->fitted->chainId,
                    $kept,
                    (float) $until->daysAhead,
                    $ranOut === null ? null : (float) $ranOut,
                    off: $kept ? 0.0 : ($until->daysAhead - $ranOut) / max(1, $until->daysAhead),
                );
                $margins[] = $kept ? 0.0 : self::marginPct($rail->fitted, $plan, (int) $ranOut);
            }
        }

        return new self($promises, $margins);
    }

    /** Whether it is known today, too, that this chain was on its wax then. */
    private static function known(Book $book, Rail $rail, int $atS): bool
    {
        $chainId = $rail->fitted->chainId ?? 0;

        return in_array($chainId, $book->chainIds, true) && $book->chain($chainId, $atS)->wax->life?->due() === false;
    }

    /** Whole days that are over. */
    private static function daysUntil(int $startS, int $nowS): int
    {
        return max(0, intdiv($nowS - $startS, 86400));
    }

    /** The first day whose rides the wax did not carry; null: it carried them all. */
    private static function ranOut(ChainState $chain, RiddenDays $ridden): ?int
    {
        [$leftKm, $leftHours] = [$chain->wax->life->leftKm ?? INF, $chain->wax->life->leftHours ?? INF];
        foreach ($ridden->km as $day => $km) {
            if ($km > $leftKm + Check::EPSILON || $ridden->hours[$day] > $leftHours + Check::EPSILON) {
                return $day;
            }
            [$leftKm, $leftHours] = [$leftKm - $km, $leftHours - $ridden->hours[$day]];
        }

        return null;
    }

    /** How much longer the expected rides would have had to be taken for the promise to end on that day. */
    private static function marginPct(ChainState $chain, RidingPlan $plan, int $day): float
    {
        $by = fn(?float $left, array $each): float => $left === null || ($sum = array_sum(array_slice($each, 0, $day + 1))) <= 0.0
            ? INF
            : 100.0 * ($left / $sum - 1.0);

        return max(0.0, min($by($chain->wax->life?->leftKm, $plan->km), $by($chain->wax->life?->leftHours, $plan->hours)));
    }
}
