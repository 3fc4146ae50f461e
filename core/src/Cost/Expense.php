<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

/**
 * Something was used up or put on at an instant. In whole minor units of money, so that every way to add it up comes to the same;
 * null: nobody said what it costs.
 */
final readonly class Expense
{
    private function __construct(public int $atS, public Supply $supply, public ?int $minor, public ?int $bikeId, public ?int $chainId) {}

    public static function of(int $atS, Supply $supply, ?float $minor, ?int $bikeId = null, ?int $chainId = null): self
    {
        return new self($atS, $supply, $minor === null ? null : (int) round($minor), $bikeId, $chainId);
    }
}
