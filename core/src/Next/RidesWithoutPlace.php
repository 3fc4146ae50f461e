<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\Rail;

/** Rides that have no chain or no bike to go to. */
final readonly class RidesWithoutPlace implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->book->kept('rides without bike', fn() => $in->book->ridesWithoutBike()->all()) as $ride) {
            $items[] = new NextItem(NextKind::NoBike, null, [], $in->today->date, Verb::ChooseBike, rides: [$ride]);
        }
        $byBike = [];
        foreach ($in->book->kept('rides without chain', fn() => $in->book->ridesWithoutChain()->all()) as $ride) {
            $byBike[(int) $ride->bikeId][] = $ride;
        }
        // Where none is known there is none to choose.
        $chainless = array_column(array_filter($in->rails, fn(Rail $rail) => $rail->chains() === []), 'bikeId');
        foreach ($byBike as $bikeId => $rides) {
            $verb = in_array($bikeId, $chainless, true) ? Verb::Add : Verb::Fit;
            $items[] = new NextItem(NextKind::NoChain, $bikeId, [], $in->today->date, $verb, rides: $rides);
        }

        return $items;
    }
}
