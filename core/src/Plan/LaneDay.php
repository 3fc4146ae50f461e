<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/**
 * One day of one bike in a plan: what is left on the chain before and after its ride (effective km and hours, margin included; null in the
 * measure that its bike does not go by), and what is done before.
 */
final readonly class LaneDay
{
    /**
     * @param list<int> $dripped chains topped up for it, the evening before
     * @param list<int> $dipped
     */
    public function __construct(
        public int $day,
        public int $chainId,
        public ?float $beforeKm,
        public ?float $afterKm,
        public ?float $beforeHours,
        public ?float $afterHours,
        public float $rideKm,
        public ?float $rideHours,
        /** The ride's own km. */
        public float $riddenKm,
        /** Of the wax that it takes, what is more than a whole coat: so far it goes without. */
        public float $overKm,
        /** The chain that came off for it, and what was left on it in the measures of its bike. */
        public ?int $offId,
        public ?float $offKm,
        public ?float $offHours,
        public array $dripped,
        /** Its chains that came out of the pot for it. */
        public array $dipped,
        /** Whether no chain could take it. */
        public bool $broken,
        /** How much of the chain its coat covers before and after the ride: 0 nothing, 1 fresh. */
        public float $coatBefore,
        public float $coatAfter,
    ) {}

    /** Whether nothing that is left can be counted on: spent, ridden in the wet, loud, or nobody knows. */
    public function due(): bool
    {
        return min($this->afterKm ?? INF, $this->afterHours ?? INF) <= 0.0;
    }
}
