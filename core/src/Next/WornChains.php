<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Chains past their wear limit: at once where one is on its bike. */
final readonly class WornChains implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            foreach ($rail->chains() as $chain) {
                $on = $chain === $rail->fitted;
                $chain->wear->pastLimit &&
                    ($items[] = new NextItem(NextKind::Worn, $rail->bikeId, [$chain], $on ? $in->today->date : null, Verb::Retire, $on));
            }
        }

        return $items;
    }
}
