<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** What so much of a supply costs from a day on: money in minor units, quantity in the unit of the supply. */
final readonly class Price
{
    /** @throws InvalidInput at `amount_minor` if below 0, at `quantity` unless above 0 */
    public function __construct(public int $id, public Supply $supply, public int $fromS, public int $amountMinor, public float $quantity)
    {
        Check::notNegative('amount_minor', $amountMinor);
        Check::positive('quantity', $quantity);
    }
}
