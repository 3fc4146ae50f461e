<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** How many of the runs the plan carried. Shares from 0 to 1; days from 0. */
final readonly class PlanRiskResult
{
    /** @param list<BikeRisk> $bikes in the order of the plan */
    public function __construct(public int $runs, public float $allWaxed, public array $bikes) {}

    /** How far the share may be off by the dice. */
    public function standardError(): float
    {
        return sqrt(($this->allWaxed * (1.0 - $this->allWaxed)) / $this->runs);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'runs' => $this->runs,
            'all_waxed' => $this->allWaxed,
            'bikes' => array_map(fn(BikeRisk $bike) => $bike->toArray(), $this->bikes),
            'standard_error' => $this->standardError(),
        ];
    }
}
