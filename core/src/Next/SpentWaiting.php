<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Plan\Rail;

/** Chains that hang spent and wait for the pot: one line for all of them. */
final readonly class SpentWaiting implements NextSource
{
    public function items(NextInput $in): array
    {
        $spent = fn(ChainState $chain) => $chain->status !== ChainStatus::Bare && !$in->inJob($chain);
        $chains = array_merge(...array_map(fn(Rail $rail) => array_values(array_filter($rail->forThePot(), $spent)), $in->rails));
        if ($chains === []) {
            return [];
        }
        $dates = array_filter(
            array_map(fn(Rail $rail) => $rail->goodUntil?->date, array_filter($in->rails, fn(Rail $rail) => $rail->forThePot() !== [])),
        );

        return [new NextItem(NextKind::SpentWaiting, null, $chains, $dates === [] ? null : min($dates), Verb::Dip)];
    }
}
