<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What a bike asks of its chains at one instant: interval in effective km, in hours or in both, wear limit in percent. */
final readonly class Terms
{
    public function __construct(
        /** Of a bike that goes by hours alone: how far it gets in them. */
        public float $intervalKm,
        public ?float $intervalHours,
        public float $limitPct,
        /** Whether the interval was learned by ear. */
        public bool $learned = false,
        /** Whether its chains live on drip wax alone: each drip starts the interval anew. */
        public bool $dripOnly = false,
        /** Whether no km end a coat, only hours. */
        public bool $hoursAlone = false,
        /** What an untimed ride counts for where hours do: hours per km as ridden, see Pace. */
        public float $hoursPerKm = 0.0,
    ) {}

    /** Whether a top-up gives back km of its own: drip wax alone begins anew with each, and hours are given none back. */
    public function topUpCounts(): bool
    {
        return !$this->dripOnly && !$this->hoursAlone;
    }

    /** The effective km after which a coat is spent; null: only hours end it. */
    public function limitKm(): ?float
    {
        return $this->hoursAlone ? null : $this->intervalKm;
    }
}
