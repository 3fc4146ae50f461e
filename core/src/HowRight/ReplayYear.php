<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use DateTimeZone;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Plan\BikeRun;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlannedBike;
use Dripel\Core\Plan\PlannedChain;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\PotDays;
use Dripel\Core\Plan\PotDaysInput;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\RiddenDays;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * The last year ridden again by the plan, beside what was really done. The rides are those that were ridden. Each Monday the plan is made
 * anew with what was known that morning; a chain is swapped in the morning by what the day was expected to be, and what is ridden beyond
 * that may go past its wax. The bikes are those that see the pot, their chains those that hung there then.
 */
final readonly class ReplayYear
{
    private const WEEK = 7;

    /** @param non-empty-array<int, WorkshopPlan> $plans by Monday, Unix seconds: unsolved, for what was known then */
    private function __construct(
        private Book $book,
        private array $plans,
        private DateTimeZone $zone,
        private int $untilS,
        private Memo $memo,
    ) {}

    /**
     * Null before its first four weeks.
     *
     * @param int $nowS a Monday morning
     */
    public static function of(RecordedBook $recorded, int $nowS, ?int $potCapacity, Memo $memo): ?self
    {
        $book = $recorded->asKnown($nowS);
        $zone = $book->settings->zone();
        $fromS = max($nowS - self::WEEK * 86400 * HowRight::WEEKS, $recorded->beganS() ?? $nowS);
        $plans = [];
        foreach (Mondays::between($fromS, $nowS, $zone) as $mondayS) {
            $then = $recorded->asKnown($mondayS);
            $planned = $recorded->plannedAt($mondayS, LocalDay::of($mondayS, $zone)->date);
            $terms = PlanTerms::of($then, $potCapacity, $mondayS);
            $plans[$mondayS] = WorkshopPlan::of($then, Rail::all($then, $mondayS, $zone), $terms, $planned, $mondayS, $zone);
        }

        return count($plans) < 4 ? null : new self($book, $plans, $zone, $nowS, $memo);
    }

    /** @return array<string, ReplayedYear> as it was done, then by each policy */
    public function all(): array
    {
        return ['done' => $this->done()] + array_map($this->planned(...), ReplayPolicy::all());
    }

    private function fromS(): int
    {
        return (int) array_key_first($this->plans);
    }

    /** What was really done. */
    public function done(): ReplayedYear
    {
        $year = new ReplayedYear($this->measure());
        /** @var array<int, ReplayedChain> $coats by chain */
        $coats = [];
        [$on, $dipped] = [[], []];
        foreach ($this->entries() as $entry) {
            if ($entry instanceof Ride) {
                $chainId = $this->book->chainOfRide($entry);
                if ($chainId === null || $entry->bikeId === null) {
                    continue;
                }
                $terms = $this->book->terms()->ofBike($entry->bikeId, $entry->moment->unixS);
                if ($terms->dripOnly) {
                    continue;
                }
                $coats[$chainId] ??= $this->coat($chainId, $entry->moment->unixS - 1);
                isset($on[$entry->bikeId]) && $on[$entry->bikeId] !== $chainId && $year->swap();
                $on[$entry->bikeId] = $chainId;
                $km = $entry->km * $this->book->settings->factor($entry->condition, $entry->moment->unixS);
                $hours = $entry->hours ?? $entry->km * $terms->hoursPerKm;
                $year->ride($km, $coats[$chainId]->ride($km, $hours, $terms->limitKm(), $terms->intervalHours));
                continue;
            }
            $bikeId = $this->book->bikeOfChain($entry->chainId, $entry->moment->unixS);
            if ($bikeId !== null && $this->book->terms()->ofBike($bikeId, $entry->moment->unixS)->dripOnly) {
                continue;
            }
            $coat = $coats[$entry->chainId] ??= $this->coat($entry->chainId, $entry->moment->unixS - 1);
            if ($entry instanceof Dip) {
                $coat->dip();
                $dipped[LocalDay::of($entry->moment->unixS, $this->zone)->date][] = $entry->chainId;
            } elseif ($entry instanceof TopUp) {
                $coat->drip($entry->km);
                $year->topUp();
            } else {
                $coat->bare = true;
            }
        }
        foreach ($dipped as $chains) {
            $year->pot(count($chains));
        }

        return $year;
    }

    /** The same rides by the plan. */
    public function planned(ReplayPolicy $policy = new ReplayPolicy()): ReplayedYear
    {
        $year = new ReplayedYear($this->measure());
        $potDays = new PotDays($this->memo);
        /** @var array<int, ReplayedChain> $coats by chain */
        $coats = [];
        /** @var array<int, int> $on by bike */
        $on = [];
        /** @var array<int, list<int>> $pots chains by day of the week that is planned, 7 is the Monday after it */
        $pots = [];
        foreach ($this->plans as $mondayS => $plan) {
            // The pot of Sunday evening is still the last week's.
            $this->pot($year, $coats, $pots[self::WEEK] ?? []);
            $bikes = [];
            foreach ($plan->bikes as $bikeId => $bike) {
                foreach ($bike->chains as $chain) {
                    $coats[(int) $chain->id] ??= ReplayedChain::of($chain);
                }
                $bikes[$bikeId] = self::bike($bike, $policy, $coats, $on[$bikeId] ?? null);
                $on[$bikeId] = (int) $bikes[$bikeId]->chains[$bikes[$bikeId]->onBike]->id;
            }
            if ($bikes === []) {
                $pots = [];
                continue;
            }
            $input = self::input($plan->input, $bikes, $policy);
            $result = $potDays($input);
            if (!$result->feasible) {
                // Nobody stays at home: the pot is heated on another day, on as few of them as will do.
                $result = $potDays($input->reluctantly());
            }
            $pots = [];
            foreach ($result->potDays as $pot) {
                $pots[$pot->day] = array_map(intval(...), $pot->dips);
            }
            $monday = LocalDay::of($mondayS, $this->zone);
            $ridden = array_map(fn(int $bikeId) => RiddenDays::of($this->book, $bikeId, $monday, self::WEEK), array_keys($bikes));
            $ridden = array_combine(array_keys($bikes), $ridden);
            for ($day = 0; $day < self::WEEK; $day++) {
                $this->pot($year, $coats, $pots[$day] ?? []);
                foreach ($bikes as $bikeId => $bike) {
                    $on[$bikeId] = $this->day($year, $coats, $bike, $input, $day, $on[$bikeId], $ridden[$bikeId]);
                }
            }
        }

        return $year;
    }

    /**
     * A day of a bike: the chain that the day is expected to want goes on, and what is really ridden is ridden on it.
     *
     * @param array<int, ReplayedChain> $coats
     *
     * @return int the chain that is on in the evening
     */
    private function day(
        ReplayedYear $year,
        array $coats,
        PlannedBike $bike,
        PotDaysInput $input,
        int $day,
        int $on,
        RiddenDays $ridden,
    ): int {
        [$km, $hours] = [$ridden->km[$day], $ridden->hours[$day]];
        if ($km <= 0.0) {
            return $on;
        }
        $run = new BikeRun(self::bike($bike, new ReplayPolicy(), $coats, $on), $input->topUp);
        $run->ride($day);
        $now = (int) $bike->chains[$run->on]->id;
        $now === $on || $year->swap();
        foreach ($run->dripped as [, $chain]) {
            $coats[(int) $bike->chains[$chain]->id]->drip($input->topUp->km ?? WaxTopUp::KM);
            $year->topUp();
        }
        $year->ride($km, $coats[$now]->ride($km, $hours, $bike->intervalKm, $bike->intervalHours));

        return $now;
    }

    /**
     * @param array<int, ReplayedChain> $coats
     * @param list<int> $chains
     */
    private function pot(ReplayedYear $year, array $coats, array $chains): void
    {
        foreach ($chains as $chainId) {
            $coats[$chainId]->dip();
        }
        $chains === [] || $year->pot(count($chains));
    }

    /**
     * The bike as it stands in the year that is ridden again.
     *
     * @param array<int, ReplayedChain> $coats
     */
    private static function bike(PlannedBike $bike, ReplayPolicy $policy, array $coats, ?int $on): PlannedBike
    {
        $place = array_search($on, array_map(intval(...), $bike->ids()), true);
        $km = $bike->intervalKm === null ? null : $policy->intervalKm ?? $bike->intervalKm;

        return new PlannedBike(
            $bike->id,
            $km,
            $bike->dailyKm,
            array_map(fn(PlannedChain $chain) => $coats[(int) $chain->id]->planned($chain, $km, $bike->intervalHours), $bike->chains),
            is_int($place) ? $place : $bike->onBike,
            $bike->intervalHours,
            $bike->dailyHours,
        );
    }

    /** @param array<int, PlannedBike> $bikes */
    private static function input(PotDaysInput $of, array $bikes, ReplayPolicy $policy): PotDaysInput
    {
        return new PotDaysInput(
            $of->days,
            $of->allowedDays,
            $of->fixedMinutes,
            $of->perDipMinutes,
            $of->batchMinutes,
            $of->potCapacity,
            $of->swapMinutes,
            $policy->bottle ? $of->topUp : null,
            array_values($bikes),
            dips: $policy->dips,
        );
    }

    /** What things take, by the newest terms. */
    private function measure(): PotDaysInput
    {
        return $this->plans[array_key_last($this->plans)]->input;
    }

    /** What was left on a chain when it is first looked at. */
    private function coat(int $chainId, int $atS): ReplayedChain
    {
        $chain = $this->book->chain($chainId, $atS);
        $life = $chain->wax->life;

        return new ReplayedChain(
            $life === null ? 0.0 : max(0.0, $chain->terms->intervalKm - ($life->leftKm ?? $chain->terms->intervalKm)),
            $life === null || $chain->terms->intervalHours === null
                ? 0.0
                : max(0.0, $chain->terms->intervalHours - ($life->leftHours ?? $chain->terms->intervalHours)),
            $life === null,
            $chain->wax->topUps,
        );
    }

    /** @return list<Ride|Dip|TopUp|Strip> of those weeks, in order */
    private function entries(): array
    {
        $entries = $this->book->rides()->between($this->fromS(), $this->untilS)->all();
        foreach ($this->book->chainIds as $chainId) {
            foreach ($this->book->history($chainId)->events as $event) {
                $event->moment->unixS >= $this->fromS() &&
                    $event->moment->unixS < $this->untilS &&
                    ($event instanceof Dip || $event instanceof TopUp || $event instanceof Strip) &&
                    ($entries[] = $event);
            }
        }
        usort($entries, Entry::compare(...));

        return $entries;
    }
}
