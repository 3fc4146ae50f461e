<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;

/**
 * All that the pot can do for one bike, and bounds on what that comes to. A dip gives back at most a full coat, so rides that take so
 * much wax cost at least so much of a dip: a coat is worth at most a dip, and at most what a top-up takes for as much. Each way to
 * price batches gives a bound of its own.
 */
final class BikeDips
{
    /** @var list<non-empty-list<float>> by way to price batches: minutes that a coat may be priced at */
    private readonly array $coatPrices;

    /** @var list<float> from each day on: the least that the rides take, in coats */
    private readonly array $rides;

    /** Coats that top-ups give a chain at most between two dips. */
    private readonly float $bottle;

    private readonly int $chains;

    /** Bits for the dips of a pot day; 0 where their number makes no difference. */
    private readonly int $bits;

    /** The highest bit of each pot day's dips. */
    private readonly int $spare;

    /** So many ways are compared in the time of a step. */
    private const COMPARED_PER_STEP = 8;

    /** Of a whole number that are used. */
    private const BITS = 62;

    private int $steps = 0;

    /** Whether two chains that are as far used may go on differently. */
    private readonly bool $placed;

    /** Where the way that comes furthest ends before its days do. */
    private ?PlanBlock $block = null;

    /** What it goes by and how it stands, as far as what it comes to follows from it: its chains by their places. */
    private readonly string $standing;

    /** @param non-empty-list<BatchPrice> $prices */
    public function __construct(
        private readonly PotDaysInput $in,
        private readonly PlannedBike $bike,
        private readonly array $prices,
        private readonly Memo $memo = new NoMemo(),
    ) {
        $this->standing = $memo instanceof NoMemo ? '' : self::standing($in, $bike);
        $this->bits = BatchPrice::counted($in) ? self::bits($bike) : 0;
        $this->spare = array_sum(
            array_map(
                fn(int $bit) => 1 << (($bit + 1) * $this->bits - 1),
                $this->bits === 0 ? [] : range(0, intdiv(self::BITS, $this->bits) - 1),
            ),
        );
        $perTopUp =
            $in->topUp === null || $in->topUp->maxPerCycle === 0 || $bike->intervalKm === null
                ? 0.0
                : min(1.0, $in->topUp->km / $bike->intervalKm);
        $this->bottle = $perTopUp * ($in->topUp->maxPerCycle ?? 0);
        $this->coatPrices = array_map(function (BatchPrice $price) use ($in, $perTopUp): array {
            $dip = $in->perDipMinutes + $price->share;
            $most = $perTopUp > 0.0 ? min($dip, ($in->topUp->minutes ?? 0.0) / $perTopUp) : $dip;

            return $most > $in->endMinutesPerChain ? [$most, $in->endMinutesPerChain] : [$most];
        }, $prices);
        $this->chains = count($bike->chains);
        $this->placed = ($bike->intervalKm !== null && $bike->intervalHours !== null) || $bike->choosy();
        $rides = [0.0];
        for ($day = $in->days - 1; $day >= 0; $day--) {
            $km = $bike->intervalKm === null ? INF : min(1.0, $bike->dailyKm[$day] / $bike->intervalKm);
            $hours = $bike->intervalHours === null ? INF : min(1.0, $bike->dailyHours[$day] / $bike->intervalHours);
            array_unshift($rides, $rides[0] + min($km, $hours));
        }
        $this->rides = $rides;
    }

    /** For how many allowed days the dips of a bike can be kept apart. */
    public static function mostAllowed(PlannedBike $bike): int
    {
        return intdiv(self::BITS, self::bits($bike));
    }

    /** So many bits hold the dips of a pot day, and one more that is never set. */
    private static function bits(PlannedBike $bike): int
    {
        return 1 + (int) ceil(log(1 + count($bike->chains), 2));
    }

    /**
     * The dips of each pot day; where their number makes no difference, 1 for any.
     *
     * @return list<int>
     */
    public function counts(DipEnd $end, int $allowed): array
    {
        $counts = [];
        for ($bit = 0; $bit < $allowed; $bit++) {
            $counts[] = $this->bits === 0 ? ($end->choice >> $bit) & 1 : ($end->counts >> ($bit * $this->bits)) & ((1 << $this->bits) - 1);
        }

        return $counts;
    }

    /** What this bike comes to at least by a way to price batches, the pot days left out. */
    public function least(int $price): float
    {
        return $this->bound(0.0, 0, $this->start()->run->spent(), 0, $price);
    }

    /** The fewest pot days that carry it. */
    public function pots(): int
    {
        return $this->morePots($this->start()->run->spent(), 0);
    }

    /** What the last search took: ways made, and days ridden by them. */
    public function steps(): int
    {
        return $this->steps;
    }

    /** Where the last search ended before the days did. */
    public function block(): ?PlanBlock
    {
        return $this->block;
    }

    /**
     * Every way to dip it that is of interest, as what it comes to; the cheapest first, none that another beats.
     *
     * @param list<int> $allowed the days on which the pot may be heated
     * @param list<list<list<float>>> $room by way to price batches, by the fewest pot days in all and by choice of them: up to what
     *                                      minutes a way that dips on them is of interest
     * @param int $until the day that is not looked at any more
     *
     * @return list<DipEnd>|null null: it was too much
     */
    public function search(array $allowed, array $room, int $mostSteps, int $until): ?array
    {
        [$ways, $this->steps, $this->block] = [[$this->start()], 0, null];
        $bits = array_flip($allowed);
        for ($day = 0; $day < $until; $day++) {
            if (isset($bits[$day])) {
                $ways = $this->dipped($ways, $day, $bits[$day], $room);
            }
            $this->steps += count($ways);
            if ($this->steps > $mostSteps) {
                return null;
            }
            $alive = [];
            foreach ($ways as $way) {
                if ($way->rides($day)) {
                    $alive[] = $way;
                }
            }
            if ($alive === []) {
                $missed = array_filter(array_map(fn(DipWay $way) => $way->run->missed($day), $ways), fn(?int $chain) => $chain !== null);
                $this->block = new PlanBlock($day, $this->bike->id, $missed === [] ? null : $this->bike->chains[min($missed)]->id);

                return [];
            }
            $ways = $alive;
        }

        return $this->ends($ways, $room);
    }

    /**
     * The way that looks best along given pot days, of a few kept at each: what each of them dips, and what this bike comes to, the pot
     * days left out; null where none gets through.
     *
     * @param list<int> $pots
     *
     * @return array{array<int, list<int>>, float}|null
     */
    public function along(array $pots, int $width): ?array
    {
        [$found, $this->steps] = $this->memo->of(
            'along ' . implode(',', $pots) . " {$width} {$this->standing}",
            fn(): array => [$this->ridden($pots, $width), $this->steps],
        );

        return $found;
    }

    /**
     * @param list<int> $pots
     *
     * @return array{array<int, list<int>>, float}|null
     */
    private function ridden(array $pots, int $width): ?array
    {
        [$ways, $this->steps] = [[$this->start()], 0];
        for ($day = 0; $day < $this->in->days; $day++) {
            if (in_array($day, $pots, true)) {
                // Those are kept that look best of all that came so far. Whatever it costs, the one that dipped the most is among them: it
                // gets furthest.
                $bounds = array_map(
                    fn(DipWay $way) => $this->bound($way->minutes(), $way->dips, $way->run->spent(), $day, count($this->prices) - 1),
                    $ways,
                );
                $dips = array_map(fn(DipWay $way) => $way->dips, $ways);
                asort($bounds);
                $kept = array_slice(array_keys($bounds), 0, $width);
                $ways = array_map(
                    fn(int $n) => $ways[$n],
                    array_values(array_unique([...$kept, (int) array_search(max($dips), $dips, true)])),
                );
                $ways = $this->dipped($ways, $day, 0, null, $this->prices[count($this->prices) - 1]->share);
            }
            $this->steps += count($ways);
            $ways = array_values(array_filter($ways, fn(DipWay $way) => $way->rides($day)));
            if ($ways === []) {
                return null;
            }
        }
        $ends = array_map(fn(DipWay $way) => $way->minutes() + $this->in->endMinutesPerChain * $way->run->spent(), $ways);

        $least = min($ends);

        return [$ways[(int) array_search($least, $ends, true)]->taken, $least];
    }

    /**
     * What this bike comes to at least by a way to price batches, were the pot hot on every allowed day: exact, as far as the steps go.
     * Infinitely much where that would not carry it.
     *
     * @param list<int> $allowed
     */
    public function alone(array $allowed, int $price, int $mostSteps): float
    {
        return $this->memo->of(
            'alone ' . implode(',', $allowed) . " {$price} {$mostSteps} {$this->standing}",
            fn(): float => $this->soloMinutes($allowed, $price, $mostSteps),
        );
    }

    /** @param list<int> $allowed */
    private function soloMinutes(array $allowed, int $price, int $mostSteps): float
    {
        [$ways, $this->steps, $share] = [[$this->start()], 0, $this->prices[$price]->share];
        for ($day = 0; $day < $this->in->days; $day++) {
            if (in_array($day, $allowed, true)) {
                // As many choices as there are sets of used chains: not begun where they are too many.
                if ($this->steps + array_sum(array_map(fn(DipWay $way) => 2 ** count($way->run->worn($day)), $ways)) > $mostSteps) {
                    return $this->least($price);
                }
                $ways = $this->dipped($ways, $day, 0, null, $share);
            }
            $this->steps += count($ways);
            $ways = array_values(array_filter($ways, fn(DipWay $way) => $way->rides($day)));
            if ($ways === []) {
                return INF;
            }
            if ($this->steps > $mostSteps) {
                return $this->least($price);
            }
        }

        return min(
            array_map(fn(DipWay $way) => $way->minutes() + $way->dips * $share + $this->in->endMinutesPerChain * $way->run->spent(), $ways),
        );
    }

    private static function standing(PotDaysInput $in, PlannedBike $bike): string
    {
        return hash(
            'xxh128',
            serialize([
                $in->days,
                $in->perDipMinutes,
                $in->batchMinutes,
                $in->potCapacity,
                $in->fixedMinutes,
                $in->swapMinutes,
                $in->topUp,
                $in->endMinutesPerChain,
                $bike->intervalKm,
                $bike->intervalHours,
                $bike->dailyKm,
                $bike->dailyHours,
                $bike->onBike,
                array_map(
                    fn(PlannedChain $chain) => [
                        $chain->usedKm,
                        $chain->usedHours,
                        $chain->bare,
                        $chain->topUps,
                        $chain->dipBy,
                        $chain->dipFrom,
                        $chain->notOn,
                    ],
                    $bike->chains,
                ),
            ]),
        );
    }

    private function start(): DipWay
    {
        return new DipWay(new BikeRun($this->bike, $this->in->topUp), $this->in);
    }

    /**
     * Every way with every choice of chains that a pot day may dip, none among them; of ways that come to the same only the cheapest.
     *
     * @param list<DipWay> $ways
     * @param list<list<list<float>>>|null $room null: all are of interest, and how they came there makes no difference
     * @param float|null $share see beats
     *
     * @return list<DipWay>
     */
    private function dipped(array $ways, int $day, int $bit, ?array $room, ?float $share = null): array
    {
        [$potDay, $perDip] = [1 << $bit, $this->bits === 0 ? 0 : 1 << ($bit * $this->bits)];
        $fresh = array_map(fn(int $n) => $this->state($n, 0.0, 0.0, 0), array_keys($this->bike->chains));
        $found = [];
        foreach ($ways as $way) {
            $run = $way->run;
            [$states, $spent] = [$this->states($run), $run->spentEach()];
            foreach ($this->choices($way, $states, $spent, $day, $bit, $room) as $chains) {
                $next = new DipChoice($way, $chains, $day, $potDay, $perDip);
                [$left, $leftSpent, $due] = [$states, $spent, $run->dipBy];
                foreach ($chains as $n) {
                    if ($this->bike->chains[$n]->dipFrom <= $day) {
                        unset($due[$n]);
                    }
                    $left[$n] = isset($due[$n]) ? $this->state($n, 0.0, 0.0, 0, dipBy: $due[$n]) : $fresh[$n];
                    $leftSpent[$n] = 0.0;
                }
                if ($room !== null && !$this->promises($next, array_sum($leftSpent), $day, $room)) {
                    continue;
                }
                $key = $this->key($run->on, $left, $due !== []);
                $this->steps += 1 + intdiv(count($found[$key] ?? []), self::COMPARED_PER_STEP);
                foreach ($found[$key] ?? [] as $n => $other) {
                    if ($this->beats($other, $next, $share)) {
                        continue 2;
                    }
                    if ($this->beats($next, $other, $share)) {
                        unset($found[$key][$n]);
                    }
                }
                $found[$key][] = $next;
            }
        }

        return array_map(fn(DipChoice $one) => $one->way(), array_merge(...array_values(array_map(array_values(...), $found))));
    }

    /**
     * Whether a way may still come to a better plan.
     *
     * @param float $spent wax that its chains have used by then
     * @param list<list<list<float>>> $room
     */
    private function promises(DipChoice $way, float $spent, int $day, array $room): bool
    {
        $pots = min(count($room[0]) - 1, $way->pots + $this->morePots($spent, $day));
        foreach ($room as $k => $of) {
            if ($this->bound($way->minutes, $way->dips, $spent, $day, $k) > $of[$pots][$way->choice]) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether of two ways that go on alike the one is as cheap as the other, on no other pot days and with no more dips on each.
     *
     * @param float|null $share of a batch, for each dip, where pot days make no other difference
     */
    private function beats(DipChoice $one, DipChoice $other, ?float $share): bool
    {
        if ($share === null && !$this->within($one->choice, $one->counts, $other->choice, $other->counts)) {
            return false;
        }

        return !ChosenDips::less($other->minutes + $other->dips * $share, $other->dips, $one->minutes + $one->dips * $share, $one->dips);
    }

    /** Whether the one dips on no other pot days than the other, and no more on each. */
    private function within(int $choice, int $counts, int $ofChoice, int $ofCounts): bool
    {
        // With the spare bit of each day set no day borrows from the next; it goes where more is taken away than there is.
        return ($choice | $ofChoice) === $ofChoice &&
            ($this->bits === 0 || ((($ofCounts | $this->spare) - $counts) & $this->spare) === $this->spare);
    }

    /**
     * What the ways come to; the cheapest first, none that another beats.
     *
     * @param non-empty-list<DipWay> $ways
     * @param list<list<list<float>>> $room
     *
     * @return list<DipEnd>
     */
    private function ends(array $ways, array $room): array
    {
        $ends = [];
        foreach ($ways as $way) {
            $minutes = $way->minutes() + $this->in->endMinutesPerChain * $way->run->spent();
            foreach ($this->prices as $k => $price) {
                if ($minutes + $way->dips * $price->share > $room[$k][0][$way->choice]) {
                    continue 2;
                }
            }
            $key = $way->choice . '|' . $way->counts;
            if (!isset($ends[$key]) || ChosenDips::less($minutes, $way->dips, $ends[$key]->minutes, $ends[$key]->dips)) {
                $ends[$key] = new DipEnd($minutes, $way->dips, $way->choice, $way->counts, $way->taken);
            }
        }
        usort($ends, fn(DipEnd $a, DipEnd $b) => $a->minutes <=> $b->minutes ?: $a->dips <=> $b->dips);
        $kept = [];
        foreach ($ends as $end) {
            foreach ($kept as $other) {
                if ($this->within($other->choice, $other->counts, $end->choice, $end->counts)) {
                    continue 2;
                }
            }
            $kept[] = $end;
        }

        return $kept;
    }

    /** What a way comes to at least from a day on, the pot days left out. */
    private function bound(float $minutes, int $dips, float $spent, int $day, int $price): float
    {
        $coats = $spent + $this->rides[$day];
        $most = 0.0;
        foreach ($this->coatPrices[$price] as $each) {
            $most = max($most, $each * $coats + min(0.0, $this->in->endMinutesPerChain - $each) * $this->chains);
        }

        return $minutes + $dips * $this->prices[$price]->share + $most;
    }

    private function morePots(float $spent, int $day): int
    {
        // What the chains cannot carry as they are, and what a pot day gives at most.
        $over = $spent + $this->rides[$day] - $this->chains * (1.0 + $this->bottle);

        return $over <= 0.0 ? 0 : (int) ceil($over / ($this->chains * (1.0 + $this->bottle)) - Check::EPSILON);
    }

    /**
     * The choices of chains that a pot day may dip, as far as they are of interest; of chains that are in the same state only so many,
     * from the first on.
     *
     * @param array<int, string> $states of its chains
     * @param array<int, float> $spentEach wax that each has used
     * @param list<list<list<float>>>|null $room
     *
     * @return list<list<int>>
     */
    private function choices(DipWay $way, array $states, array $spentEach, int $day, int $bit, ?array $room): array
    {
        $run = $way->run;
        $alike = [];
        foreach ($run->worn($day) as $n) {
            $alike[$n === $run->on ? 'on' : $states[$n]][] = $n;
        }
        // To dip a chain with wax left wastes that: what a choice wastes is never won back.
        [$minutes, $spent] = [$way->minutes(), array_sum($spentEach)];
        $spare = [];
        foreach ($this->prices as $k => $_) {
            $spare[] =
                $room === null ? INF : $room[$k][0][$way->choice | (1 << $bit)] - $this->bound($minutes, $way->dips, $spent, $day, $k);
        }
        $choices = [[[], array_fill(0, count($this->prices), 0.0)]];
        foreach ($alike as $chains) {
            $used = $spentEach[$chains[0]];
            $waste = [];
            foreach ($this->prices as $k => $price) {
                $waste[] = $this->in->perDipMinutes + $price->share - $this->coatPrices[$k][0] * $used;
            }
            foreach ($choices as [$choice, $wasted]) {
                for ($count = 1; $count <= count($chains); $count++) {
                    foreach ($wasted as $k => $minutes) {
                        $wasted[$k] = $minutes + $waste[$k];
                        if ($wasted[$k] > $spare[$k] + Check::EPSILON) {
                            continue 3;
                        }
                    }
                    $choices[] = [[...$choice, ...array_slice($chains, 0, $count)], $wasted];
                }
            }
        }

        return array_column($choices, 0);
    }

    /**
     * Two runs with the same key go on alike: the fitted chain, and the others whatever they are called.
     *
     * @param array<int, string> $states of its chains
     */
    private function key(int $on, array $states, bool $due): string
    {
        $fitted = $states[$on];
        unset($states[$on]);
        // Which of two that are as far used is taken goes by their places, where km and hours, a deadline or a shut day tells them apart.
        if ($due || $this->placed) {
            return $on . ';' . $fitted . ';' . implode(';', $states);
        }
        sort($states, SORT_STRING);

        return $fitted . ';' . implode(';', $states);
    }

    /** @return array<int, string> by chain: two in the same state go on alike */
    private function states(BikeRun $run): array
    {
        $states = [];
        foreach ($run->used as $n => $km) {
            $states[$n] = $this->state($n, $km, $run->hours[$n] ?? 0.0, $run->topUps[$n], isset($run->bare[$n]), $run->dipBy[$n] ?? null);
        }

        return $states;
    }

    private function state(int $chain, float $km, float $hours, int $topUps, bool $bare = false, ?int $dipBy = null): string
    {
        $of = $this->bike->chains[$chain];

        // Bits, not digits: to write a number out takes longer than all else here.
        return pack('EEV', $km, $hours, $topUps) .
            ($bare ? 'b' : '') .
            ($dipBy === null ? '' : "d{$dipBy},{$of->dipFrom}") .
            ($of->notOn === [] ? '' : 'n' . implode(',', $of->notOn));
    }
}
