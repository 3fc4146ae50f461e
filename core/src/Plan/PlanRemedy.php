<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A way out of what a plan cannot meet, and what comes of it. */
final readonly class PlanRemedy
{
    /** @param list<string> $dates local days on which the pot is heated more */
    public function __construct(
        public PlanRemedyKind $kind,
        public float $minutesMore,
        /** Rides and deadlines that are not met with it, and without it. */
        public int $problems,
        public int $problemsNow,
        public array $dates = [],
        public ?int $bikeId = null,
    ) {}

    public function helps(): bool
    {
        return $this->problems < $this->problemsNow;
    }
}
