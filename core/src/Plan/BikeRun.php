<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;

/**
 * One bike ridden day after day by the rule: the fitted chain as long as it can, then the least used that can, then top-ups on the
 * fitted one, then on another. A chain takes a ride if it takes it in km and in hours, as far as the bike goes by them. It stops at
 * the first day that no chain can take.
 */
final class BikeRun
{
    /** @var array<int, float> effective km, by chain */
    public array $used;

    /** @var array<int, float> by chain; none where the bike does not go by hours */
    public array $hours;

    /** @var array<int, int> top-ups since its last dip, by chain */
    public array $topUps;

    /** @var array<int, true> chains without wax */
    public array $bare = [];

    /** @var array<int, int> until which day a chain must be dipped, as long as it was not */
    public array $dipBy = [];

    public int $on;

    /** @var list<array{int, int, int}> day, from, to: places in the list of chains */
    public array $swaps = [];

    /** @var list<array{int, int}> day, chain */
    public array $dripped = [];

    private readonly float $intervalKm;

    private readonly float $intervalHours;

    public function __construct(private readonly PlannedBike $bike, private readonly ?PlannedTopUp $topUp)
    {
        // A measure without an interval is not looked at: nothing is used of it, and its interval is never reached.
        $this->intervalKm = $bike->intervalKm ?? INF;
        $this->intervalHours = $bike->intervalHours ?? INF;
        $this->used = array_map(fn(PlannedChain $chain) => $bike->intervalKm === null ? 0.0 : $chain->usedKm, $bike->chains);
        $this->hours = $bike->intervalHours === null ? [] : array_map(fn(PlannedChain $chain) => $chain->usedHours, $bike->chains);
        $this->topUps = array_map(fn(PlannedChain $chain) => $chain->topUps, $bike->chains);
        foreach ($bike->chains as $n => $chain) {
            if ($chain->bare) {
                $this->bare[$n] = true;
            }
            if ($chain->dipBy !== null) {
                $this->dipBy[$n] = $chain->dipBy;
            }
        }
        $this->on = $bike->onBike;
    }

    /** @return list<int> the chains that a pot day may dip: those that were ridden, that are bare, that must be dipped from then on */
    public function worn(int $day): array
    {
        $worn = [];
        foreach ($this->used as $n => $km) {
            if (
                $km > 0.0 ||
                isset($this->bare[$n]) ||
                ($this->hours[$n] ?? 0.0) > 0.0 ||
                (isset($this->dipBy[$n]) && $this->bike->chains[$n]->dipFrom <= $day)
            ) {
                $notOn = $this->bike->chains[$n]->notOn;
                if ($notOn === [] || !in_array($day, $notOn, true)) {
                    $worn[] = $n;
                }
            }
        }

        return $worn;
    }

    /** @param list<int> $chains that go into the pot, and come out fresh */
    public function dip(array $chains, int $day): void
    {
        foreach ($chains as $n) {
            [$this->used[$n], $this->topUps[$n]] = [0.0, 0];
            if ($this->hours !== []) {
                $this->hours[$n] = 0.0;
            }
            unset($this->bare[$n]);
            if ($this->bike->chains[$n]->dipFrom <= $day) {
                unset($this->dipBy[$n]);
            }
        }
    }

    /** The pot on all chains: they are alike, and which is on makes no difference. */
    public function renew(): void
    {
        $this->dip(array_keys($this->used), PHP_INT_MAX);
    }

    /** Whether nothing is left of what was before the pot: no top-ups, no coat that was begun, no deadline. */
    public function renewed(): bool
    {
        return max([0, ...$this->topUps]) === 0 &&
            $this->bare === [] &&
            $this->dipBy === [] &&
            array_sum($this->used) + array_sum($this->hours) <= 0.0;
    }

    /** What tells it from another run of the same bike that goes on from the same day. */
    public function state(): string
    {
        return implode(':', [
            $this->on,
            implode(',', $this->topUps),
            implode(',', $this->used),
            implode(',', $this->hours),
            implode(',', array_keys($this->bare)),
            implode(',', array_keys($this->dipBy)),
        ]);
    }

    /** The first chain that must have been dipped by a day and was not. */
    public function missed(int $day): ?int
    {
        $missed = null;
        foreach ($this->dipBy as $n => $by) {
            if ($by <= $day && ($missed === null || $n < $missed)) {
                $missed = $n;
            }
        }

        return $missed;
    }

    /** How much of its wax a chain has used, as far as the least used is chosen by it: 1 is the interval. */
    public function fraction(int $chain): float
    {
        $km = $this->used[$chain] / $this->intervalKm;

        return $this->hours === [] ? $km : max($km, $this->hours[$chain] / $this->intervalHours);
    }

    /** Effective km until a chain is due by them; null where the bike does not go by km. */
    public function leftKm(int $chain): ?float
    {
        return $this->bike->intervalKm === null ? null : max(0.0, $this->intervalKm - $this->used[$chain]);
    }

    /** Hours until a chain is due by them; null where the bike does not go by hours. */
    public function leftHours(int $chain): ?float
    {
        return $this->hours === [] ? null : max(0.0, $this->intervalHours - $this->hours[$chain]);
    }

    /**
     * The wax that each chain has used, at most once its interval, and all of it where it is bare.
     *
     * @return array<int, float> by chain
     */
    public function spentEach(): array
    {
        $spent = [];
        foreach ($this->used as $n => $_) {
            $spent[$n] = isset($this->bare[$n]) ? 1.0 : min(1.0, $this->fraction($n));
        }

        return $spent;
    }

    /** The same of all of them. */
    public function spent(): float
    {
        return (float) array_sum($this->spentEach());
    }

    /** Rides a day; false where no chain can take it, with nothing changed. */
    public function ride(int $day): bool
    {
        $km = $this->bike->intervalKm === null ? 0.0 : $this->bike->dailyKm[$day];
        $hours = $this->hours === [] ? 0.0 : $this->bike->dailyHours[$day];
        if ($km <= 0.0 && $hours <= 0.0) {
            return true;
        }
        if ($this->takes($this->on, $km, $hours, 0)) {
            return $this->take($this->on, $km, $hours);
        }
        $other = $this->leastUsed($km, $hours, false);
        if ($other !== null) {
            $this->swap($day, $other);

            return $this->take($other, $km, $hours);
        }
        if ($this->topUp === null || $day < $this->topUp->firstDay) {
            return false;
        }
        $chain = $this->takes($this->on, $km, $hours, $this->left($this->on)) ? $this->on : $this->leastUsed($km, $hours, true);
        if ($chain === null) {
            return false;
        }
        $chain === $this->on || $this->swap($day, $chain);
        while (!$this->takes($chain, $km, $hours, 0)) {
            $this->used[$chain] = max(0.0, $this->used[$chain] - $this->topUp->km);
            $this->topUps[$chain]++;
            $this->dripped[] = [$day, $chain];
        }

        return $this->take($chain, $km, $hours);
    }

    /** Rides a day that no chain can take on the fitted one all the same: nothing is left on it. */
    public function rideDry(): void
    {
        $this->used[$this->on] = $this->bike->intervalKm ?? 0.0;
        if ($this->hours !== []) {
            $this->hours[$this->on] = $this->intervalHours;
        }
    }

    private function take(int $chain, float $km, float $hours): bool
    {
        $this->used[$chain] = min($this->intervalKm, $this->used[$chain] + $km);
        if ($hours > 0.0) {
            $this->hours[$chain] = min($this->intervalHours, $this->hours[$chain] + $hours);
        }

        return true;
    }

    private function swap(int $day, int $to): void
    {
        $this->swaps[] = [$day, $this->on, $to];
        $this->on = $to;
    }

    /** Whether a chain can take a ride after so many top-ups; one longer than the interval wants it fresh. */
    private function takes(int $chain, float $km, float $hours, int $topUps): bool
    {
        if (isset($this->bare[$chain])) {
            return false;
        }
        $used = $topUps === 0 || $this->topUp === null ? $this->used[$chain] : max(0.0, $this->used[$chain] - $topUps * $this->topUp->km);
        if ($used > 0.0 && $used + $km > $this->intervalKm + Check::EPSILON) {
            return false;
        }
        if ($this->hours === []) {
            return true;
        }
        $spent = $this->hours[$chain];

        return $spent <= 0.0 || $spent + $hours <= $this->intervalHours + Check::EPSILON;
    }

    private function left(int $chain): int
    {
        return max(0, ($this->topUp->maxPerCycle ?? 0) - $this->topUps[$chain]);
    }

    /** @param bool $helped whether each may have all the top-ups that it still may */
    private function leastUsed(float $km, float $hours, bool $helped): ?int
    {
        [$best, $least] = [null, INF];
        foreach ($this->used as $n => $_) {
            if ($n === $this->on || !$this->takes($n, $km, $hours, $helped ? $this->left($n) : 0)) {
                continue;
            }
            $used = $this->fraction($n);
            if ($used < $least || ($used === $least && $best !== null && $this->topUps[$n] < $this->topUps[$best])) {
                [$best, $least] = [$n, $used];
            }
        }

        return $best;
    }
}
