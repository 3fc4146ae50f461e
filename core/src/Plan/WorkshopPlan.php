<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Closure;
use DateTimeZone;
use Dripel\Core\Input\Check;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Terms;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;
use Dripel\Core\Riders\Whose;

/**
 * The weeks ahead of a workshop, the one answer to what comes next: when to heat the pot and with which chains, what to swap and what to
 * drip, which deadline and which ride it cannot meet. Everything that looks ahead reads it. A day counts from today; the pot of a day is
 * heated that morning, or the evening before.
 */
final class WorkshopPlan
{
    /** What is changed soon is looked at in so many weeks. */
    private const NEAR_WEEKS = 4;

    private ?PotDaysResult $result = null;

    /** @var array<int, array<int, true>> by bike and day */
    private array $leftOut = [];

    private ?PlanWalk $walk = null;

    /**
     * @param array<int, PlannedBike> $bikes by bike, those that the pot is for
     * @param array<int, PlannedBike> $dripBikes by bike
     * @param array<string, PlannedBike> $alone chains that no bike rides before they are dipped: kept for an event, or put into an
     *                                          accepted pot day
     * @param array<int, RidingPlan> $riding by bike
     * @param list<Deadline> $deadlines
     * @param list<int> $waiting chains that hang and are spent or bare
     * @param Closure(PlanTerms, bool=): self $again the same workshop by other terms
     */
    private function __construct(
        private readonly Book $book,
        /** @var list<Rail> as they are today, with how long the wax will do */
        public readonly array $rails,
        public readonly PlanTerms $terms,
        public readonly PotDaysInput $input,
        public readonly PlanDays $days,
        public readonly array $bikes,
        public readonly array $dripBikes,
        public readonly array $alone,
        public readonly array $riding,
        public readonly array $deadlines,
        private readonly array $waiting,
        private readonly Memo $memo,
        private readonly Closure $again,
    ) {}

    /**
     * @param list<Rail> $rails
     * @param list<PlannedRide> $planned
     * @param list<BookedPot> $booked
     * @param bool $anyDay on other days than the terms allow too, but only where nothing else will do
     */
    public static function of(
        Book $book,
        array $rails,
        PlanTerms $terms,
        array $planned,
        int $nowS,
        DateTimeZone $zone,
        array $booked = [],
        Memo $memo = new NoMemo(),
        bool $anyDay = false,
    ): self {
        $days = new PlanDays($terms, $booked, $nowS, $zone);
        $every = $anyDay ? new PlanDays($terms->on(range(1, 7)), $booked, $nowS, $zone) : $days;
        $deadlines = Deadlines::of($book, $rails, $booked, $every, $terms, $nowS);
        $byChain = array_column($deadlines, null, 'chainId');
        $fresh = array_merge(...array_map(fn(BookedPot $pot) => $pot->begun ? $pot->chainIds : [], $booked));
        [$bikes, $dripBikes, $riding] = [[], [], []];
        foreach ($rails as $n => $rail) {
            $weeks = RidingPlan::of($book, $rail, $planned, GoodUntil::days($terms->days), $nowS, $zone);
            $rails[$n] = $rail = $rail->along($weeks, $days->today);
            $plan = $weeks->first($terms->days);
            $bike = self::bike($rail, $plan, $terms, $days, $byChain, $fresh);
            if ($bike === null) {
                continue;
            }
            $riding[$rail->bikeId] = $plan;
            $rail->fitted?->terms->dripOnly === true ? ($dripBikes[$rail->bikeId] = $bike) : ($bikes[$rail->bikeId] = $bike);
        }
        $ridden = array_merge(...array_map(fn(PlannedBike $bike) => $bike->ids(), array_values($bikes)));
        $alone = [];
        foreach ($deadlines as $deadline) {
            if (!$deadline->missed && !in_array($deadline->chainId, $ridden, true)) {
                $alone["alone {$deadline->chainId}"] = new PlannedBike(
                    "alone {$deadline->chainId}",
                    $book->terms()->setKm($deadline->bikeId, $nowS),
                    array_fill(0, $terms->days, 0.0),
                    [self::chain($deadline->chainId, 0.0, 0.0, $deadline->kind === DeadlineKind::Rust, 0, $terms, $days, $deadline)],
                    0,
                );
            }
        }
        $input = new PotDaysInput(
            $terms->days,
            $every->allowed,
            $terms->fixedMinutes,
            $terms->dipMinutes,
            $terms->batchMinutes,
            $terms->potCapacity,
            $terms->swapMinutes,
            $book->settings->topUpsMost() === 0
                ? null
                : new PlannedTopUp(WaxTopUp::KM, $terms->topUpMinutes, $book->settings->topUpsMost(), 1),
            [...array_values($bikes), ...array_values($alone)],
            $days->pinned,
            array_keys(
                array_filter($every->allowed, fn(bool $allowed, int $day) => $allowed && !$days->allowed[$day], ARRAY_FILTER_USE_BOTH),
            ),
            DipRule::Chosen,
        );
        $again = fn(PlanTerms $terms, bool $anyDay = false): self => self::of(
            $book,
            $rails,
            $terms,
            $planned,
            $nowS,
            $zone,
            $booked,
            $memo,
            $anyDay,
        );

        $waiting = array_map(
            fn(ChainState $chain) => $chain->chainId,
            array_merge(...array_map(fn(Rail $rail) => $rail->forThePot(), $rails)),
        );

        return new self($book, $rails, $terms, $input, $days, $bikes, $dripBikes, $alone, $riding, $deadlines, $waiting, $memo, $again);
    }

    /** The plan of the same workshop by other terms. */
    public function by(PlanTerms $terms): self
    {
        return ($this->again)($terms);
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

    /**
     * The plan that takes the fewest minutes. A ride that no choice of pot days carries is left out, so that it does not stand in the way
     * of the rest.
     */
    public function result(): PotDaysResult
    {
        if ($this->result !== null) {
            return $this->result;
        }
        [$this->result, $this->leftOut] = $this->memo->of('plan ' . self::hash($this->input), function (): array {
            [$input, $leftOut] = [$this->input, []];
            while (($every = EveryDip::best($input)) instanceof PlanBlock && $every->chain === null) {
                $leftOut[(int) $every->bike][$every->day] = true;
                $input = $input->riding(
                    array_map(fn(PlannedBike $bike) => $bike->id === $every->bike ? $bike->resting($every->day) : $bike, $input->bikes),
                );
            }

            return [(new PotDays($this->memo))->against($input, $every), $leftOut];
        });

        return $this->result;
    }

    /** @return array<int, array<int, true>> by bike and day: rides that no chain can take, whatever is done */
    public function leftOut(): array
    {
        $this->result();

        return $this->leftOut;
    }

    /** @return list<Deadline> those that no allowed day meets */
    public function missed(): array
    {
        return array_values(array_filter($this->deadlines, fn(Deadline $deadline) => $deadline->missed));
    }

    /** Whether every ride is on wax and every deadline is met. */
    public function whole(): bool
    {
        return $this->leftOut() === [] && $this->missed() === [] && $this->result()->blocked === null;
    }

    /** Whether it has nothing to plan for: no bike is expected to be ridden, no chain waits for the pot, none waits in vain. */
    public function idle(): bool
    {
        return $this->result()->potDays === [] &&
            $this->missed() === [] &&
            array_filter($this->riding, fn(RidingPlan $riding) => !$riding->idle()) === [];
    }

    /** Day by day what is on each bike, and why each chain is dipped. */
    public function walk(): PlanWalk
    {
        return $this->walk ??= new PlanWalk($this);
    }

    /** The chain that goes on a bike with its next swap; null: none is planned. */
    public function nextOn(int $bikeId): ?int
    {
        foreach ($this->walk()->lanes[$bikeId] ?? [] as $day) {
            if ($day->offId !== null) {
                return $day->chainId;
            }
        }

        return null;
    }

    /** When a bike may be ridden next after today; null: no ride of it is expected, or it has no chain on. */
    public function nextRideS(int $bikeId): ?int
    {
        return ($this->riding[$bikeId] ?? null)?->nextRideS($this->days->today);
    }

    /** What is done first with a chain that is on a bike; null: nothing, as long as it is planned. */
    public function wayOf(int $bikeId, int $chainId): ?WetWay
    {
        foreach ($this->walk()->lanes[$bikeId] ?? [] as $day) {
            $way = match (true) {
                in_array($chainId, $day->dipped, true) => WetWay::Dip,
                in_array($chainId, $day->dripped, true) => WetWay::TopUp,
                $day->offId === $chainId => WetWay::Swap,
                default => null,
            };
            if ($way !== null) {
                return $way;
            }
        }

        return null;
    }

    /**
     * The terms by which a pot day takes no longer than somebody has: chain by chain the one stays out without which the weeks to come
     * are met best, then quickest; where there is no time for one, the pot stays cold.
     *
     * @param float $minutes of the pot day, all in
     */
    public function within(string $potOn, float $minutes): PlanTerms
    {
        $most = 0;
        while ($most < count($this->dipsOn($potOn)) && $this->input->potMinutes($most + 1) <= $minutes + Check::EPSILON) {
            $most++;
        }
        [$pinned, $forbidden, $notOn] = [$this->terms->pinned, $this->terms->forbidden, $this->terms->notOn];
        if ($most === 0) {
            return $this->terms->choosing(
                array_values(array_diff($pinned, [$potOn])),
                array_values(array_unique([...$forbidden, $potOn])),
                $notOn,
            );
        }
        $pinned = array_values(array_unique([...$pinned, $potOn]));
        $near = $this->terms->over($this->weeksAround($this->days->ofPot($potOn) ?? 0));
        $plan = $this->by($near->choosing($pinned, $forbidden, $notOn));
        while (count($plan->dipsOn($potOn)) > $most) {
            $best = null;
            foreach ($plan->dipsOn($potOn) as $chainId) {
                $without = $notOn;
                $without[$chainId] = [...$notOn[$chainId] ?? [], $potOn];
                $tried = $this->by($near->choosing($pinned, $forbidden, $without));
                if ($best === null || [$tried->problems(), $tried->minutesMore($best)] < [$best->problems(), 0.0]) {
                    $best = $tried;
                }
            }
            [$plan, $notOn] = [$best, $best->terms->notOn];
        }

        return $this->terms->choosing($pinned, $forbidden, $notOn);
    }

    /** @return list<int> the chains of the pot on a local day */
    private function dipsOn(string $potOn): array
    {
        $day = $this->days->ofPot($potOn);
        foreach ($this->result()->potDays as $pot) {
            if ($pot->day === $day) {
                return array_map(intval(...), $pot->dips);
            }
        }

        return [];
    }

    /** So many weeks are looked at for what is changed on a day: those until then, and two more. */
    private function weeksAround(int $day): int
    {
        return min(intdiv($this->terms->days, 7), max(self::NEAR_WEEKS, intdiv($day, 7) + 2));
    }

    /** How many rides and deadlines it does not meet. */
    private function problems(): int
    {
        return count($this->missed()) + array_sum(array_map(count(...), $this->leftOut()));
    }

    /** When the next pot with a chain will be over; null: none is planned. */
    public function potDoneS(int $chainId): ?int
    {
        foreach ($this->result()->potDays as $pot) {
            if (in_array($chainId, $pot->dips, true)) {
                return $this->days->potS($pot->day) + (int) round(60 * $this->input->potMinutes(count($pot->dips)));
            }
        }

        return null;
    }

    /** @return list<int> the chains of the next pot day of the plan; where it needs none, those that hang and wait for one */
    public function nextPot(): array
    {
        foreach ($this->result()->potDays as $pot) {
            if ($pot->dips !== []) {
                return array_map(intval(...), $pot->dips);
            }
        }

        return $this->waiting;
    }

    /**
     * The bike that one rides today: of which most is expected, else the one that was ridden last. Null without bikes.
     * House rule.
     */
    public function todaysBike(?Whose $whose = null): ?int
    {
        $whose ??= Whose::all();
        $today = array_filter(
            array_map(fn(RidingPlan $plan) => $plan->ridden[0] ?? 0.0, $this->riding),
            fn(float $km, int $bikeId) => $km > 0.0 && $whose->bike($bikeId),
            ARRAY_FILTER_USE_BOTH,
        );
        arsort($today);
        $lastS = [];
        foreach ($whose->rails($this->rails) as $rail) {
            $lastS[$rail->bikeId] = $this->book->lastRiddenS($rail->bikeId) ?? 0;
        }
        arsort($lastS);

        return array_key_first($today) ?? array_key_first($lastS);
    }

    /** How sure it is, week by week of what each bike was ridden before. */
    public function risk(int $runs = PlanRiskInput::RUNS): PlanRiskResult
    {
        $riding = array_intersect_key($this->riding, $this->bikes);
        $in = $this->riskInput(
            array_combine(
                array_keys($riding),
                array_map(
                    fn(int $bikeId, RidingPlan $plan) => $plan->special ? [] : PastWeeks::of($this->book, $bikeId, $this->days->today),
                    array_keys($riding),
                    $riding,
                ),
            ),
            $runs,
        );

        return $this->memo->of('risk ' . self::hash($in), fn() => (new PlanRisk())($in));
    }

    /** The day of a bike's first ride without wax, its pot days held as planned and the bike ridden so; null: there is none. */
    public function troubleOn(int $bikeId, RiddenDays $ridden): ?int
    {
        $bike = $this->bikes[$bikeId];
        $bike = $bike->riding($ridden->km, $bike->intervalHours === null ? [] : $ridden->hours);

        return (new PlanRisk())->troubleOf($this->riskInput(array_map(fn() => [], $this->bikes)), $bike);
    }

    /** @param array<int, list<list<float>>> $weeks by bike */
    private function riskInput(array $weeks, int $runs = PlanRiskInput::RUNS): PlanRiskInput
    {
        $dips = [];
        foreach ($this->result()->potDays as $pot) {
            $dips[$pot->day] = $pot->dips;
        }

        return new PlanRiskInput(
            $this->input,
            $dips,
            $weeks + array_fill_keys(array_keys($this->alone), []),
            $this->days->today->weekday() - 1,
            $runs,
            hoursPerKm: array_map(fn(RidingPlan $plan) => $plan->hoursPerKm, array_intersect_key($this->riding, $this->bikes)),
        );
    }

    /** Minutes that it takes more than another. */
    public function minutesMore(self $than): float
    {
        return ($this->result()->totalMinutes ?? 0.0) - ($than->result()->totalMinutes ?? 0.0);
    }

    /** The pot on a day that the terms do not allow: what helps soonest. Null where nothing is to be mended, or none does. */
    public function otherDay(): ?PlanRemedy
    {
        if ($this->whole()) {
            return null;
        }

        // Days that the terms do not allow are not in the input, nor are deadlines that are missed: what is still in time is told by these.
        $of = [$this->input, $this->terms, $this->days->today->date, $this->days->first, $this->deadlines];

        return $this->memo->of('other ' . self::hash($of), $this->soonestOtherDay(...));
    }

    private function soonestOtherDay(): ?PlanRemedy
    {
        // Looked for in the weeks around the first trouble; what it comes to, by the plan that has those days and no others.
        $trouble = min(
            $this->missed() === [] ? PHP_INT_MAX : 0,
            ...array_map(fn(array $days) => (int) array_key_first($days), $this->leftOut() ?: [[PHP_INT_MAX => true]]),
        );
        $anyDay = ($this->again)($this->terms->over($this->weeksAround(min($trouble, $this->terms->days))), true);
        $dates = [];
        foreach ($anyDay->result()->potDays as $pot) {
            in_array($pot->day, $anyDay->input->reluctant, true) && ($dates[] = $this->days->potOn($pot->day));
        }
        if ($dates === []) {
            return null;
        }
        $with = $this->terms->choosing([...$this->terms->pinned, ...$dates], $this->terms->forbidden, $this->terms->notOn);

        return $this->remedy(PlanRemedyKind::AnyDay, $this->by($with), $dates);
    }

    /**
     * Ways out where a ride or a deadline cannot be met: each with what it costs, those that do it first.
     *
     * @return list<PlanRemedy>
     */
    public function remedies(): array
    {
        if ($this->whole()) {
            return [];
        }
        $otherDay = $this->otherDay();
        $remedies = $otherDay === null ? [] : [$otherDay];
        if ($this->leftOut() !== []) {
            $bikeId = (int) array_key_first($this->leftOut());
            $remedies[] = $this->remedy(
                PlanRemedyKind::Chain,
                $this->with(
                    $this->input->riding(array_values([$bikeId => $this->bikes[$bikeId]->withChain('new')] + $this->bikes + $this->alone)),
                ),
                bikeId: $bikeId,
            );
            $remedies[] = $this->remedy(
                PlanRemedyKind::Bottle,
                $this->with(
                    $this->input->withTopUp(
                        new PlannedTopUp(WaxTopUp::KM, $this->terms->topUpMinutes, ($this->input->topUp->maxPerCycle ?? 0) + 1, 1),
                    ),
                ),
            );
        }
        // A chain costs more than minutes.
        $last = fn(PlanRemedy $one): bool => $one->kind === PlanRemedyKind::Chain;
        usort(
            $remedies,
            fn(PlanRemedy $a, PlanRemedy $b) => $a->problems <=> $b->problems ?:
            $last($a) <=> $last($b) ?:
            $a->minutesMore <=> $b->minutesMore,
        );

        return $remedies;
    }

    private static function hash(mixed $of): string
    {
        return hash('xxh128', serialize($of));
    }

    /** @param list<string> $dates more pot days */
    private function remedy(PlanRemedyKind $kind, self $plan, array $dates = [], ?int $bikeId = null): PlanRemedy
    {
        return new PlanRemedy($kind, $plan->minutesMore($this), $plan->problems(), $this->problems(), $dates, $bikeId);
    }

    private function with(PotDaysInput $input): self
    {
        return new self(
            $this->book,
            $this->rails,
            $this->terms,
            $input,
            $this->days,
            $this->bikes,
            $this->dripBikes,
            $this->alone,
            $this->riding,
            $this->deadlines,
            $this->waiting,
            $this->memo,
            $this->again,
        );
    }

    /**
     * @param array<int, Deadline> $deadlines by chain
     * @param list<int> $fresh chains that are in the pot just now
     *
     * @return PlannedBike|null null for a bike without any chain that could be ridden
     */
    private static function bike(
        Rail $rail,
        RidingPlan $plan,
        PlanTerms $terms,
        PlanDays $days,
        array $deadlines,
        array $fresh,
    ): ?PlannedBike {
        $margin = 1.0 + $terms->marginPct / 100.0;
        $chains = array_values(
            array_filter(
                [...$rail->fitted === null ? [] : [$rail->fitted], ...$rail->inTurn()],
                fn(ChainState $chain) => $chain === $rail->fitted ||
                    (!$chain->wear->pastLimit && $rail->serves($chain) && !$rail->greasy($chain)),
            ),
        );
        if ($rail->fitted === null || $chains === []) {
            return null;
        }
        $drips = $rail->fitted->terms->dripOnly;
        // On drip wax alone the hours begin anew with each drip: as many km as they last on the slowest day.
        $kmPerHour = self::kmPerHour($plan, $rail->fitted->terms);
        $lasts = fn(?float $km, ?float $hours): float => min($km ?? INF, $hours === null ? INF : $hours * $kmPerHour);
        $limitKm = $rail->fitted->terms->limitKm();
        $km = $drips ? $lasts($limitKm, $rail->fitted->terms->intervalHours) : $limitKm;
        $hours = $drips ? null : $rail->fitted->terms->intervalHours;
        // What cannot be counted on is used up in every measure.
        $counts = fn(ChainState $chain): bool => $chain->wax->life !== null && $chain->wax->known && !$chain->wax->life->due();
        $leftKm = fn(ChainState $chain): float => $drips
            ? $lasts($chain->wax->life?->leftKm, $chain->wax->life?->leftHours)
            : $chain->wax->life->leftKm ?? (float) $km;

        return new PlannedBike(
            $rail->bikeId,
            $km,
            array_map(fn(float $each) => $each * $margin, $plan->km),
            array_map(
                fn(ChainState $chain) => in_array($chain->chainId, $fresh, true)
                    ? self::chain($chain->chainId, 0.0, 0.0, false, 0, $terms, $days, null)
                    : self::chain(
                        $chain->chainId,
                        $km === null ? 0.0 : max(0.0, $km - ($counts($chain) ? $leftKm($chain) : 0.0)),
                        $hours === null ? 0.0 : max(0.0, $hours - ($counts($chain) ? $chain->wax->life->leftHours ?? $hours : 0.0)),
                        $chain->wax->life === null,
                        $chain->wax->topUps,
                        $terms,
                        $days,
                        $deadlines[$chain->chainId] ?? null,
                    ),
                $chains,
            ),
            0,
            $hours,
            $hours === null ? [] : array_map(fn(float $each) => $each * $margin, $plan->hours),
        );
    }

    /** Effective km that an hour of its wax goes, on a bike of drip wax alone whose hours run out before its km; else null. */
    public function dripKmPerHour(int $bikeId): ?float
    {
        $terms = array_find($this->rails, fn(Rail $one) => $one->bikeId === $bikeId)?->fitted?->terms;
        if ($terms?->intervalHours === null) {
            return null;
        }
        $kmPerHour = self::kmPerHour($this->riding[$bikeId], $terms);

        return $terms->intervalHours * $kmPerHour > ($terms->limitKm() ?? INF) ? null : $kmPerHour;
    }

    /** Effective km in an hour of the slowest day; of a bike by hours alone that nobody rides, what its interval comes from. */
    private static function kmPerHour(RidingPlan $plan, Terms $terms): float
    {
        $slowest = $plan->slowestKmPerHour();

        return is_infinite($slowest) && $terms->hoursAlone ? $terms->intervalKm / (float) $terms->intervalHours : $slowest;
    }

    private static function chain(
        int $chainId,
        float $usedKm,
        float $usedHours,
        bool $bare,
        int $topUps,
        PlanTerms $terms,
        PlanDays $days,
        ?Deadline $deadline,
    ): PlannedChain {
        $met = $deadline === null || $deadline->missed ? null : $deadline;

        return new PlannedChain(
            $chainId,
            $usedKm,
            $usedHours,
            $bare,
            $topUps,
            $met?->until,
            $met === null ? 0 : $met->from,
            array_values(array_filter(array_map($days->ofPot(...), $terms->notOn[$chainId] ?? []), fn(?int $day) => $day !== null)),
        );
    }
}
