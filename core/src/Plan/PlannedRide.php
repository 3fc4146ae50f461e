<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Interval\Condition;

/** A ride that is meant, or days on which nothing is ridden (km 0). Local days YYYY-MM-DD. */
final readonly class PlannedRide
{
    public function __construct(
        public int $id,
        public string $date,
        /** The last day of a holiday; the same day for a ride. */
        public string $until,
        /** Null: all bikes. */
        public ?int $bikeId,
        public float $km,
        public ?Condition $condition = null,
        public string $name = '',
    ) {}

    public function concerns(string $date, int $bikeId): bool
    {
        return $this->date <= $date && $date <= $this->until && ($this->bikeId === null || $this->bikeId === $bikeId);
    }
}
