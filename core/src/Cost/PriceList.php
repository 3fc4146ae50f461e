<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

/** The dated prices of a workshop. A cost is taken at the price of its day; before the first price was noted, at that one. */
final readonly class PriceList
{
    /** @var array<string, list<Price>> by supply, in order of time */
    private array $prices;

    /** @param list<Price> $prices in any order */
    public function __construct(array $prices)
    {
        usort($prices, fn(Price $a, Price $b) => $a->fromS <=> $b->fromS ?: $a->id <=> $b->id);
        $bySupply = [];
        foreach ($prices as $price) {
            $bySupply[$price->supply->value][] = $price;
        }
        $this->prices = $bySupply;
    }

    public function at(Supply $supply, int $atS): ?Price
    {
        $found = $this->prices[$supply->value][0] ?? null;
        foreach ($this->prices[$supply->value] ?? [] as $price) {
            $found = $price->fromS <= $atS ? $price : $found;
        }

        return $found;
    }

    /**
     * @param list<Supply> $supplies
     *
     * @return list<Supply> those of which no price was ever noted
     */
    public function without(array $supplies): array
    {
        return array_values(array_filter($supplies, fn(Supply $supply) => !isset($this->prices[$supply->value])));
    }

    /** What a quantity costs, in minor units, unrounded; null where no price is known. */
    public function costMinor(Supply $supply, float $quantity, int $atS): ?float
    {
        $price = $this->at($supply, $atS);

        return $price === null ? null : ($price->amountMinor * $quantity) / $price->quantity;
    }
}
