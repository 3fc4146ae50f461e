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
    /** What is still to be done today is done after the quarter of an hour that has begun. */
    private const SOON_S = 900;

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
        $soonS = self::SOON_S * (intdiv($nowS, self::SOON_S) + 1);
        foreach ($plan->walk()->lanes as $bikeId => $days) {
            foreach ($days as $day) {
                $at = fn(int $hour, int $before = 0): Moment => new Moment(
                    max($soonS, $plan->days->today->plus($day->day - $before)->atHour($hour)),
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

        return $book->kept(
            'doubts ' . sha1(serialize([$fittings, $rides, $events, $asked, $margin])),
            fn() => self::doubts($book->with($fittings, $rides, $events), $asked, $margin, $plan),
        );
    }

    /**
     * @param Book $then as if all of it had happened
     * @param list<array{LaneDay, int, Ride}> $asked the ride of a day and its bike
     *
     * @return list<PlanDoubt>
     */
    private static function doubts(Book $then, array $asked, float $margin, WorkshopPlan $plan): array
    {
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
