<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\TopUp;

/**
 * A plan looked at ride by ride with ChainState, as if it had happened: what the shelf, Next and everything else would say of each
 * chain before each ride. The plan counts in its own simple way; where the two differ that is said.
 */
final readonly class PlanCheck
{
    /**
     * @return list<PlanDoubt> rides that a chain would not be fit for after all
     */
    public static function of(Book $book, WorkshopPlan $plan, int $nowS): array
    {
        $zone = $book->settings->zone();
        $dryFactor = $book->settings->factor(Condition::Dry, $nowS);
        $margin = 1.0 + $plan->terms->marginPct / 100.0;
        [$fittings, $rides, $events, $asked] = [[], [], [], []];
        $id = 1_000_000_000;
        foreach ($plan->walk()->lanes as $bikeId => $days) {
            foreach ($days as $day) {
                $at = fn(int $hour, int $before = 0): Moment => new Moment(
                    max($nowS + 1, $plan->days->today->plus($day->day - $before)->atHour($hour)),
                    sequence: ++$id,
                );
                foreach ($day->dipped as $chain) {
                    $events[] = new Dip(++$id, $at(PlanHours::pot($plan->terms), $plan->terms->evening ? 1 : 0), $chain);
                }
                foreach ($day->dripped as $chain) {
                    $events[] = new TopUp(++$id, $at(PlanHours::DRIP, 1), $chain, WaxTopUp::KM);
                }
                $day->offId === null || ($fittings[] = new Fitting(++$id, $at(PlanHours::SWAP), $bikeId, $day->chainId));
                if ($day->rideKm > 0.0 && !$day->broken) {
                    $ride = new Ride(
                        ++$id,
                        $at(PlanHours::RIDE),
                        $bikeId,
                        $day->rideKm / $margin / $dryFactor,
                        $plan->riding[$bikeId]->hours[$day->day],
                        Condition::Dry,
                    );
                    $rides[] = $ride;
                    $asked[] = [$day, $bikeId, $ride];
                }
            }
        }
        $then = $book->with($fittings, $rides, $events);
        $doubts = [];
        foreach ($asked as [$day, $bikeId, $ride]) {
            $chain = $then->chain($day->chainId, $ride->moment->unixS - 60);
            $needs = $chain->terms->limitKm() === null ? 0.0 : min($chain->terms->intervalKm, $day->rideKm / $margin);
            $leftHours = $chain->wax->life?->leftHours;
            $needsHours = min($chain->terms->intervalHours ?? INF, $plan->riding[$bikeId]->hours[$day->day]);
            $hoursShort = $leftHours !== null && $leftHours < $needsHours - Check::EPSILON;
            if (!$chain->rideable() || $chain->readyAtS !== null || $hoursShort || $chain->leftKm() < $needs - Check::EPSILON) {
                $doubts[] = new PlanDoubt(
                    $day->day,
                    $bikeId,
                    $day->chainId,
                    $needs,
                    $chain->leftKm(),
                    $chain->readyAtS !== null,
                    $hoursShort ? $needsHours : null,
                    $hoursShort ? $leftHours : null,
                );
            }
        }

        return $doubts;
    }
}
