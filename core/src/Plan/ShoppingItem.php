<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Cost\Supply;

/** So much of a supply (pieces, g or ml) is needed by a local day, YYYY-MM-DD, and why. */
final readonly class ShoppingItem
{
    public function __construct(
        public Supply $supply,
        public float $quantity,
        public string $neededBy,
        public ShoppingBecause $because,
        public ?int $bikeId = null,
    ) {}
}
