<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\WetPath;

/** Wet chains until they are dry; what wax they want then is the plan's to say. */
final readonly class WetChains implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            foreach ($rail->chains() as $chain) {
                // Said on the day it was ridden on and the next, until somebody looked.
                if (
                    $chain->dryness->wetPast !== null &&
                    !$chain->dryness->lookedAt &&
                    !$chain->wear->pastLimit &&
                    LocalDay::of((int) $chain->dryness->riddenOnS, $in->zone)->date >= $in->today->plus(-1)->date
                ) {
                    $items[] = new NextItem(NextKind::WetPast, $rail->bikeId, [$chain], $in->today->date, Verb::Wipe);
                }
                $path =
                    $chain->wear->pastLimit || $in->underWay($chain)
                        ? null
                        : WetPath::of(
                            $chain,
                            $rail,
                            $in->plan,
                            $in->book->settings,
                            $in->jobOf($chain)->doneS ?? $in->plan->potDoneS($chain->chainId),
                            $in->zone,
                        );
                // On its hook it has dried by itself after a day; what rust there is shows before the pot.
                $hung =
                    $chain !== $rail->fitted &&
                    $path !== null &&
                    LocalDay::of($path->rideEndS ?? $path->dryByS, $in->zone)->date < $in->today->plus(-1)->date;
                if ($path !== null && $path->driedS === null && !$hung) {
                    $items[] = new NextItem(
                        NextKind::Wet,
                        $rail->bikeId,
                        [$chain],
                        $in->today->date,
                        Verb::Wet,
                        $path->late(),
                        byS: $path->late() ? null : $path->dryByS,
                        about: $path,
                    );
                }
            }
        }

        return $items;
    }
}
