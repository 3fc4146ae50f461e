<?php

declare(strict_types=1);

namespace Dripel\Core\Riders;

/** What of a pot day falls to one rider: their chains, g of wax, minutes of work, minor units of money (null: no price known). */
final readonly class RiderShare
{
    /** @param list<int> $chainIds */
    public function __construct(
        public ?string $rider,
        public array $chainIds,
        public float $waxG,
        public float $minutes,
        public ?float $waxMinor,
    ) {}
}
