<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/**
 * A ride for which, looked at closely, the chain would have too little wax or not be dry. Effective km; hours only where they are what is
 * short.
 */
final readonly class PlanDoubt
{
    public function __construct(
        public int $day,
        public int $bikeId,
        public int $chainId,
        public float $needsKm,
        public float $leftKm,
        public bool $notReady,
        public ?float $needsHours = null,
        public ?float $leftHours = null,
    ) {}
}
