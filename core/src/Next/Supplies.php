<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\ChainSupply;

/** Bikes that have, or will soon have, too few chains. */
final readonly class Supplies implements NextSource
{
    /** House rule: what is to be bought later than this is no news yet, in days. */
    private const DAYS = 42;

    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $supply = ChainSupply::of($in->book, $rail, $in->forecasts, $in->today);
            if ($supply?->buyBy !== null && $supply->buyBy <= $in->today->plus(self::DAYS)->date) {
                $items[] = new NextItem(
                    NextKind::Buy,
                    $rail->bikeId,
                    $supply->goes === null ? [] : [$supply->goes],
                    $supply->buyBy,
                    Verb::Add,
                    about: $supply,
                );
            }
        }

        return $items;
    }
}
