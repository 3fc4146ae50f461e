<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

/** Something was used up or put on at an instant. Minor units of money; null: nobody said what it costs. */
final readonly class Expense
{
    public function __construct(public int $atS, public Supply $supply, public ?float $minor, public ?int $bikeId = null, public ?int $chainId = null) {}
}
