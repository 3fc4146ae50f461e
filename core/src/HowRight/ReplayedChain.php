<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Plan\PlannedChain;

/** The coat of a chain in a year that is ridden again: what was used of it, in effective km and in hours. */
final class ReplayedChain
{
    public function __construct(public float $usedKm, public float $usedHours, public bool $bare, public int $topUps) {}

    public static function of(PlannedChain $chain): self
    {
        return new self($chain->usedKm, $chain->usedHours, $chain->bare, $chain->topUps);
    }

    public function dip(): void
    {
        [$this->usedKm, $this->usedHours, $this->bare, $this->topUps] = [0.0, 0.0, false, 0];
    }

    public function drip(float $km): void
    {
        $this->usedKm = max(0.0, $this->usedKm - $km);
        $this->topUps++;
    }

    /**
     * Rides it.
     *
     * @param float $km effective
     *
     * @return float the part of it that the coat no longer carried, from 0 to 1
     */
    public function ride(float $km, float $hours, ?float $intervalKm, ?float $intervalHours): float
    {
        $over = fn(float $used, float $more, ?float $interval): float => $interval === null || $more <= 0.0
            ? 0.0
            : min(1.0, max(0.0, ($used + $more - $interval) / $more));
        $past = $this->bare ? 1.0 : max($over($this->usedKm, $km, $intervalKm), $over($this->usedHours, $hours, $intervalHours));
        [$this->usedKm, $this->usedHours] = [$this->usedKm + $km, $this->usedHours + $hours];

        return $past;
    }

    /** As the plan takes it: what is spent is spent. */
    public function planned(PlannedChain $chain, ?float $intervalKm, ?float $intervalHours): PlannedChain
    {
        return new PlannedChain(
            $chain->id,
            min($this->usedKm, $intervalKm ?? 0.0),
            min($this->usedHours, $intervalHours ?? 0.0),
            $this->bare,
            $this->topUps,
            notOn: $chain->notOn,
        );
    }
}
