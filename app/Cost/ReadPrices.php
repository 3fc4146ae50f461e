<?php

declare(strict_types=1);

namespace App\Cost;

use App\Models\Price;
use App\Models\Workshop;
use Dripel\Core\Cost\Price as CorePrice;
use Dripel\Core\Cost\PriceList;

/** Loads the price list of a workshop into the core. */
final readonly class ReadPrices
{
    public function __invoke(Workshop $workshop): PriceList
    {
        return new PriceList(
            array_values(
                Price::query()
                    ->in($workshop)
                    ->live()
                    ->get()
                    ->map(fn(Price $row) => new CorePrice($row->id, $row->supply, $row->at, $row->amount_minor, $row->quantity))
                    ->all(),
            ),
        );
    }
}
