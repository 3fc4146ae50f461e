<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxLife;
use Dripel\Core\Interval\WaxLifeInput;
use Dripel\Core\Interval\WaxRide;
use Dripel\Core\Interval\WaxTopUp;

/** A chain while it is simulated: its wear, its wax cycle as wax.life takes it. */
final class SimulatedChain
{
    /** @var list<WaxRide> since its dip */
    private array $rides = [];

    /** @var list<WaxTopUp> */
    private array $topUps = [];

    /** @var array{float, float}|null an interval, and what was used of it: until something happens to it */
    private ?array $used = null;

    /** Whether it was run so far past its limit that the cassette went with it. */
    public bool $ruinous = false;

    /**
     * @param float $usedKm effective, since its dip
     * @param float $km it has been ridden in all
     */
    public function __construct(
        public readonly string $id,
        public float $wearPct,
        float $usedKm = 0.0,
        public float $km = 0.0,
        float $usedHours = 0.0,
    ) {
        ($usedKm <= 0.0 && $usedHours <= 0.0) || ($this->rides[] = new WaxRide($usedKm, $usedHours, Condition::Dry, 1.0));
    }

    public function usedKm(float $intervalKm): float
    {
        if ($this->rides === []) {
            return 0.0;
        }
        if ($this->used === null || $this->used[0] !== $intervalKm) {
            $leftKm = (new WaxLife())(new WaxLifeInput($intervalKm, null, $this->rides, $this->topUps))->leftKm;
            $this->used = [$intervalKm, $intervalKm - $leftKm];
        }

        return $this->used[1];
    }

    public function usedHours(): float
    {
        return array_sum(array_map(fn(WaxRide $ride) => (float) $ride->hours, $this->rides));
    }

    public function cycleKm(): float
    {
        return array_sum(array_map(fn(WaxRide $ride) => $ride->effectiveKm, $this->rides));
    }

    public function topUpCount(): int
    {
        return count($this->topUps);
    }

    public function ride(float $km, float $factor, float $ratePctPer1000Km, float $hours = 0.0): void
    {
        $this->rides[] = new WaxRide($km, $hours, Condition::Dry, $factor);
        $this->used = null;
        $this->km += $km;
        $this->wearPct += ($ratePctPer1000Km * $km) / 1000.0;
    }

    public function drip(float $km): void
    {
        $this->topUps[] = new WaxTopUp(count($this->rides) - 1, $km);
        $this->used = null;
    }

    public function dip(): void
    {
        [$this->rides, $this->topUps, $this->used] = [[], [], null];
    }
}
