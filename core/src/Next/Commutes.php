<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\Ride;

/** One line for each bike whose weekly commute filled itself in. */
final readonly class Commutes implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->book->bikeIds as $bikeId) {
            if (($in->book->fillIn?->commutesOf($bikeId) ?? []) === []) {
                continue;
            }
            $rides = $in->book->kept(
                "commutes of {$bikeId}",
                fn() => array_values(array_filter($in->book->ridesOf($bikeId)->all(), fn(Ride $ride) => $ride->guess?->commuteId !== null)),
            );
            if ($rides !== []) {
                $items[] = new NextItem(NextKind::Commute, $bikeId, [], $in->today->date, Verb::Confirm, rides: $rides);
            }
        }

        return $items;
    }
}
