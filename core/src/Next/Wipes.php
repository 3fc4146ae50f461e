<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlanTerms;

/** Chains on their bikes that want a dry cloth between two dips. */
final readonly class Wipes implements NextSource
{
    public function items(NextInput $in): array
    {
        $after = $in->book->settings->wipeRides();
        $items = [];
        foreach ($in->rails as $rail) {
            $chain = $rail->fitted;
            if (
                $chain !== null &&
                $after > 0 &&
                $chain->ridesSinceCare >= $after &&
                $chain->wax->life !== null &&
                !$chain->wax->life->due()
            ) {
                $items[] = new NextItem(NextKind::Wipe, $rail->bikeId, [$chain], null, Verb::Wipe, minutes: PlanTerms::WIPE_MINUTES);
            }
        }

        return $items;
    }
}
