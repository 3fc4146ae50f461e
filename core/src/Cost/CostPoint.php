<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

/** What the km up to an instant had cost by then: as they were waxed, and as plain drip would have. Minor units of money. */
final readonly class CostPoint
{
    public function __construct(public int $atS, public float $km, public float $waxedMinor, public float $plainMinor) {}
}
