<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Chains that are kept for an event and want their dip for it. */
final readonly class EventDips implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            foreach ($rail->hanging as $chain) {
                if (
                    $chain->keptFor?->wantsDip($chain->wax->dip, $chain->nowS, $in->book->settings) === true &&
                    !$chain->wear->pastLimit &&
                    !$in->inJob($chain)
                ) {
                    $items[] = new NextItem(NextKind::EventDip, $rail->bikeId, [$chain], $chain->keptFor->on, Verb::Dip);
                }
            }
        }

        return $items;
    }
}
