<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;

/**
 * One bike ridden day after day by the rule, from a pot day or from today: the fitted chain as long as it can, then the least used
 * that can, then top-ups on the fitted one, then on another. Stops at the first day that no chain can take.
 */
final class BikeRun
{
    /** @var array<int, float> by chain */
    public array $used;

    /** @var array<int, int> top-ups since its last dip, by chain */
    public array $topUps;

    public int $on;

    /** @var list<array{int, int, int}> day, from, to: places in the list of chains */
    public array $swaps = [];

    /** @var list<array{int, int}> day, chain */
    public array $dripped = [];

    /** Whether the last ride was longer than the interval: why no chain could take it. */
    public bool $tooLong = false;

    public function __construct(private readonly PlannedBike $bike, private readonly ?PlannedTopUp $topUp)
    {
        $this->used = $bike->usedKm;
        // What is bare has no wax to add to and none to ride on.
        $this->topUps = array_map(fn(int $n) => ($bike->bare[$n] ?? false) ? PHP_INT_MAX : $bike->topUps[$n] ?? 0, array_keys($bike->chains));
        $this->on = $bike->onBike;
    }

    /**
     * The pot: every chain that was ridden, and what hangs bare, is fresh.
     *
     * @return list<int> those that were dipped
     */
    public function dip(): array
    {
        $dips = $this->worn();
        foreach ($dips as $n) {
            [$this->used[$n], $this->topUps[$n]] = [0.0, 0];
        }

        return $dips;
    }

    /** @return list<int> the chains that a pot day would dip */
    public function worn(): array
    {
        $worn = [];
        foreach ($this->used as $n => $km) {
            if ($km > 0.0 || $this->topUps[$n] === PHP_INT_MAX) {
                $worn[] = $n;
            }
        }

        return $worn;
    }

    /** Rides a day; false where no chain can take it, with nothing changed. */
    public function ride(int $day): bool
    {
        $km = $this->bike->dailyKm[$day];
        if ($km <= 0.0) {
            return true;
        }
        if ($this->takes($this->on, $km, 0)) {
            return $this->take($this->on, $km);
        }
        $other = $this->leastUsed($km, 0);
        if ($other !== null) {
            $this->swap($day, $other);

            return $this->take($other, $km);
        }
        $this->tooLong = $km > $this->bike->intervalKm;
        if ($this->topUp === null) {
            return false;
        }
        $chain = $this->takes($this->on, $km, $this->left($this->on)) ? $this->on : $this->leastUsed($km, null);
        if ($chain === null) {
            return false;
        }
        $chain === $this->on || $this->swap($day, $chain);
        while (! $this->takes($chain, $km, 0)) {
            $this->used[$chain] = max(0.0, $this->used[$chain] - $this->topUp->km);
            $this->topUps[$chain]++;
            $this->dripped[] = [$day, $chain];
        }

        return $this->take($chain, $km);
    }

    private function take(int $chain, float $km): bool
    {
        $this->used[$chain] = min($this->bike->intervalKm, $this->used[$chain] + $km);

        return true;
    }

    private function swap(int $day, int $to): void
    {
        $this->swaps[] = [$day, $this->on, $to];
        $this->on = $to;
    }

    /** Whether a chain can take a ride after so many top-ups; one longer than the interval wants it fresh. */
    private function takes(int $chain, float $km, int $topUps): bool
    {
        if ($this->topUps[$chain] === PHP_INT_MAX) {
            return false;
        }
        $used = $topUps === 0 || $this->topUp === null ? $this->used[$chain] : max(0.0, $this->used[$chain] - $topUps * $this->topUp->km);

        return $used <= 0.0 || $used + $km <= $this->bike->intervalKm + Check::EPSILON;
    }

    private function left(int $chain): int
    {
        return max(0, ($this->topUp->maxPerCycle ?? 0) - $this->topUps[$chain]);
    }

    /** @param int|null $topUps how many may help; null: as many as each still may have */
    private function leastUsed(float $km, ?int $topUps): ?int
    {
        $best = null;
        foreach ($this->used as $n => $used) {
            if ($n === $this->on || ! $this->takes($n, $km, $topUps ?? $this->left($n))) {
                continue;
            }
            if ($best === null || $used < $this->used[$best] || ($used === $this->used[$best] && $this->topUps[$n] < $this->topUps[$best])) {
                $best = $n;
            }
        }

        return $best;
    }
}
