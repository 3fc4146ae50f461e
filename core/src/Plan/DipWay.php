<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** One way in which a bike comes to a day: how it was ridden, which of its chains each pot day dipped, and what that took. */
final class DipWay
{
    /**
     * @param int $choice the pot days on which it dips, one bit each
     * @param int $counts how many dips on each of them, so many bits each
     * @param array<int, list<int>> $taken the chains of each pot day
     */
    public function __construct(
        public readonly BikeRun $run,
        private readonly PotDaysInput $in,
        public readonly int $dips = 0,
        public readonly int $choice = 0,
        public readonly int $counts = 0,
        public readonly array $taken = [],
    ) {}

    /** Minutes so far and with so many more dips, without the pot days and the batches. */
    public function minutes(int $moreDips = 0): float
    {
        return ($this->dips + $moreDips) * $this->in->perDipMinutes +
            count($this->run->swaps) * $this->in->swapMinutes +
            count($this->run->dripped) * ($this->in->topUp->minutes ?? 0.0);
    }

    /** Rides a day; false where that cannot be, or where a chain should have been dipped by then. */
    public function rides(int $day): bool
    {
        return ($this->run->dipBy === [] || $this->run->missed($day) === null) && $this->run->ride($day);
    }

    /** @param list<int> $chains */
    public function dipped(array $chains, int $day, DipChoice $as): self
    {
        $run = clone $this->run;
        $run->dip($chains, $day);

        return new self($run, $this->in, $as->dips, $as->choice, $as->counts, $this->taken + [$day => $chains]);
    }
}
