<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;

/**
 * The weeks ahead of a workshop: its rails as plan.pot_days takes them, and what follows. A day counts from today; the pot of a day
 * is heated that morning, or the evening before.
 */
final class WorkshopPlan
{
    /** Looked for once it is asked for: a pot day that is only moved by hand needs no best plan. */
    private ?PotDaysResult $best = null;

    /** So many more pot days are told as ways to mend a plan. */
    private const POT_REPAIRS = 2;

    /**
     * @param array<int, PlannedBike> $bikes by bike, those that the pot is for
     * @param array<int, PlannedBike> $dripBikes by bike
     * @param array<int, RidingPlan> $riding by bike
     */
    private function __construct(
        public readonly PlanTerms $terms,
        public readonly PotDaysInput $input,
        public readonly LocalDay $today,
        public readonly array $bikes,
        public readonly array $dripBikes,
        public readonly array $riding,
    ) {}

    /**
     * @param list<Rail> $rails
     * @param list<PlannedRide> $planned
     */
    public static function of(Book $book, array $rails, PlanTerms $terms, array $planned, int $nowS, DateTimeZone $zone): self
    {
        $today = LocalDay::of($nowS, $zone);
        [$bikes, $dripBikes, $riding] = [[], [], []];
        foreach ($rails as $rail) {
            $plan = RidingPlan::of($book, $rail, $planned, $terms->days, $nowS, $zone);
            $bike = self::bike($rail, $plan, 1.0 + $terms->marginPct / 100.0);
            if ($bike === null) {
                continue;
            }
            $riding[$rail->bikeId] = $plan;
            $rail->fitted?->terms->dripOnly === true ? ($dripBikes[$rail->bikeId] = $bike) : ($bikes[$rail->bikeId] = $bike);
        }
        $dates = array_map(fn(int $day) => self::potDate($today, $day, $terms), range(0, $terms->days - 1));
        $input = new PotDaysInput(
            $terms->days,
            array_map(
                fn(string $date, int $day) => $date >= $today->date &&
                    !($terms->evening && $day === 0) &&
                    !in_array($date, $terms->forbidden, true) &&
                    (in_array($date, $terms->pinned, true) || in_array(LocalDay::named($date, $zone)->weekday(), $terms->weekdays, true)),
                $dates,
                array_keys($dates),
            ),
            $terms->fixedMinutes,
            $terms->dipMinutes,
            $terms->batchMinutes,
            $terms->potCapacity,
            $terms->swapMinutes,
            $book->settings->topUpsMost() === 0
                ? null
                : new PlannedTopUp(WaxTopUp::KM, $terms->topUpMinutes, $book->settings->topUpsMost()),
            array_values($bikes),
            array_values(
                array_filter(
                    array_map(
                        fn(string $date, int $day) => in_array($date, $terms->pinned, true) && $date >= $today->date ? $day : null,
                        $dates,
                        array_keys($dates),
                    ),
                    fn(?int $day) => $day !== null,
                ),
            ),
        );

        return new self($terms, $input, $today, $bikes, $dripBikes, $riding);
    }

    /** @return list<int> the chains that it plans with, on bikes and on hooks */
    public function chainIds(): array
    {
        return array_map(
            intval(...),
            array_merge(
                ...array_map(fn(PlannedBike $bike) => $bike->ids(), [...array_values($this->bikes), ...array_values($this->dripBikes)]),
            ),
        );
    }

    /** The plan that takes the fewest minutes. */
    public function best(): PotDaysResult
    {
        return $this->best ??= (new PotDays())($this->input);
    }

    /** The plan that holds: by hand where somebody made one, else the best. */
    public function held(): PotDaysResult
    {
        return $this->byHand() === [] ? $this->best() : $this->along($this->heldDays(), $this->heldBottle());
    }

    /** @return list<int> the pot days of the plan that holds */
    public function heldDays(): array
    {
        return $this->byHand() ?: array_map(fn(PlannedPotDay $pot) => $pot->day, $this->best()->potDays);
    }

    /** Whether the plan that holds may use the bottle. */
    public function heldBottle(): bool
    {
        return $this->byHand() === [] || $this->terms->bottle;
    }

    /** @return list<int> the days of the plan by hand that are still to come; none: there is none */
    public function byHand(): array
    {
        return $this->days($this->terms->byHand);
    }

    /**
     * @param list<string> $dates on which the pot is heated
     *
     * @return list<int>
     */
    public function days(array $dates): array
    {
        $days = array_filter(
            range(0, $this->terms->days - 1),
            fn(int $day) => in_array($this->potOn($day), $dates, true) && $this->potOn($day) >= $this->today->date,
        );

        return array_values($days);
    }

    /** @param list<int> $potDays */
    public function along(array $potDays, bool $bottle): PotDaysResult
    {
        return (new PotDays())->along($bottle ? $this->input : $this->input->withTopUp(null), $potDays);
    }

    /** The local day on which the pot is heated for a day of the plan. */
    public function potOn(int $day): string
    {
        return self::potDate($this->today, $day, $this->terms);
    }

    public function date(int $day): string
    {
        return $this->today->plus($day)->date;
    }

    /**
     * Day by day what is on each bike, also where the plan breaks: a ride that no chain can take is left out.
     *
     * @param list<int> $potDays
     *
     * @return array<int, list<LaneDay>> by bike
     */
    public function lanes(array $potDays, bool $bottle): array
    {
        $lanes = [];
        $topUp = $bottle ? $this->input->topUp : null;
        foreach ($this->bikes + $this->dripBikes as $bikeId => $bike) {
            $alone = isset($this->dripBikes[$bikeId]);
            $run = new BikeRun($bike, $alone ? PlannedTopUp::alone($bike->km(), $this->terms->topUpMinutes) : $topUp);
            for ($day = 0; $day < $this->terms->days; $day++) {
                $dipped = !$alone && in_array($day, $potDays, true) ? $run->worn() : [];
                $run->dip($dipped);
                [$swaps, $drips] = [count($run->swaps), count($run->dripped)];
                $ridden = $run->ride($day);
                $chain = $run->on;
                $km = $bike->dailyKm[$day];
                [$leftKm, $leftHours] = [max(0.0, $bike->km() - $run->used[$chain]), $run->leftHours($chain)];
                [$beforeKm, $beforeHours] = [$leftKm, $leftHours];
                if ($ridden && $km > 0.0) {
                    $beforeKm = min($bike->km(), $leftKm + $km);
                    $beforeHours = $leftHours === null ? null : min($bike->intervalHours ?? INF, $leftHours + $bike->dailyHours[$day]);
                }
                $lanes[$bikeId][] = new LaneDay(
                    $day,
                    (int) $bike->chains[$chain]->id,
                    $beforeKm,
                    $leftKm,
                    $beforeHours,
                    $leftHours,
                    $km,
                    $bike->dailyHours[$day] ?? null,
                    $this->riding[$bikeId]->ridden[$day],
                    isset($run->swaps[$swaps]) ? (int) $bike->chains[$run->swaps[$swaps][1]]->id : null,
                    array_map(fn(array $one) => (int) $bike->chains[$one[1]]->id, array_slice($run->dripped, $drips)),
                    array_map(fn(int $n) => (int) $bike->chains[$n]->id, $dipped),
                    !$ridden,
                );
            }
        }

        return $lanes;
    }

    /**
     * Ways out where no plan will do: each with what it costs, those that do it first.
     *
     * @return list<PlanRemedy>
     */
    public function remedies(): array
    {
        if ($this->best()->blocked === null) {
            return [];
        }
        $bikeId = (int) $this->best()->blocked->bike;
        $bike = $this->bikes[$bikeId];
        $more = $bike->withChain('new');
        $first = $this->terms->evening ? 1 : 0;
        $tries = [
            [PlanRemedyKind::AnyDay, $this->input->allowing(array_map(fn(int $day) => $day >= $first, range(0, $this->terms->days - 1)))],
            [PlanRemedyKind::Chain, $this->input->riding(array_values([$bikeId => $more] + $this->bikes))],
            [
                PlanRemedyKind::Bottle,
                $this->input->withTopUp(
                    new PlannedTopUp(WaxTopUp::KM, $this->terms->topUpMinutes, ($this->input->topUp->maxPerCycle ?? 0) + 1),
                ),
            ],
        ];
        $remedies = array_map(fn(array $try) => new PlanRemedy($try[0], (new PotDays())($try[1])), $tries);
        usort(
            $remedies,
            fn(PlanRemedy $a, PlanRemedy $b) => $b->plan->feasible <=> $a->plan->feasible ?:
            ($a->plan->totalMinutes ?? 0.0) <=> ($b->plan->totalMinutes ?? 0.0),
        );

        return $remedies;
    }

    /**
     * What mends a plan by hand that breaks: the bottle, or one more pot day, each that does it, the cheapest first.
     *
     * @param list<int> $potDays
     *
     * @return list<PlanRepair>
     */
    public function repairs(array $potDays): array
    {
        $repairs = [];
        foreach ($this->input->allowedDays as $day => $allowed) {
            if ($allowed && !in_array($day, $potDays, true)) {
                $days = [...$potDays, $day];
                sort($days);
                $plan = $this->along($days, false);
                $plan->feasible && ($repairs[] = new PlanRepair($day, false, $plan));
            }
        }
        $byCost = fn(PlanRepair $a, PlanRepair $b): int => $a->plan->totalMinutes <=> $b->plan->totalMinutes ?: $a->potDay <=> $b->potDay;
        usort($repairs, $byCost);
        $repairs = array_slice($repairs, 0, self::POT_REPAIRS);
        $dripped = $this->input->topUp === null ? null : $this->along($potDays, true);
        if ($dripped !== null && $dripped->feasible) {
            $repairs[] = new PlanRepair(null, true, $dripped);
        }
        usort($repairs, $byCost);

        return $repairs;
    }

    /** Null for a bike without any chain that could be ridden. */
    private static function bike(Rail $rail, RidingPlan $plan, float $margin): ?PlannedBike
    {
        $chains = array_values(
            array_filter(
                $rail->chains(),
                fn(ChainState $chain) => $chain === $rail->fitted ||
                    (!$chain->wear->pastLimit && !$rail->kept($chain) && $chain->status !== ChainStatus::Unwaxed),
            ),
        );
        if ($rail->fitted === null || $chains === []) {
            return null;
        }
        $km = $rail->fitted->terms->intervalKm;
        // On drip wax alone the hours begin anew with each drip: they stay within the km at the bike's pace.
        $drips = $rail->fitted->terms->dripOnly;
        $hours = $drips ? null : $rail->fitted->terms->intervalHours;
        // What cannot be counted on is used up in every measure.
        $counts = fn(ChainState $chain): bool => $chain->wax->life !== null && $chain->wax->known && !$chain->wax->life->due();

        return new PlannedBike(
            $rail->bikeId,
            $km,
            array_map(fn(float $each) => $each * $margin, $plan->km),
            array_map(
                fn(ChainState $chain) => new PlannedChain(
                    $chain->chainId,
                    max(0.0, $km - ($drips ? $rail->rideableKm($chain) : ($counts($chain) ? $chain->wax->life->leftKm ?? $km : 0.0))),
                    $hours === null ? 0.0 : max(0.0, $hours - ($counts($chain) ? $chain->wax->life->leftHours ?? $hours : 0.0)),
                    bare: $chain->wax->life === null,
                    topUps: $chain->wax->topUps,
                ),
                $chains,
            ),
            0,
            $hours,
            $hours === null ? [] : array_map(fn(float $each) => $each * $margin, $plan->hours),
        );
    }

    private static function potDate(LocalDay $today, int $day, PlanTerms $terms): string
    {
        return $today->plus($terms->evening ? $day - 1 : $day)->date;
    }
}
