<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\Rail;

/** Chains on bikes of which nobody knows when they are ridden next: the plan has nothing to go by, and they want wax before that. */
final readonly class DueChains implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $ridden = array_filter($in->plan->walk()->lanes[$rail->bikeId] ?? [], fn(LaneDay $day) => $day->rideKm > 0.0) !== [];
            $chain = $rail->fitted;
            $due = $chain !== null && ($chain->wax->life?->due() === true || $chain->status === ChainStatus::Unsure);
            if ($chain !== null && $due && !$ridden && !$chain->dryness->wet() && !$in->underWay($chain)) {
                $items[] = $this->item($rail, $chain, $in);
            }
        }

        return $items;
    }

    private function item(Rail $rail, ChainState $chain, NextInput $in): NextItem
    {
        $best = $rail->bestHanging();

        return new NextItem(
            $chain->status === ChainStatus::Unsure ? NextKind::Unsure : NextKind::Overdue,
            $rail->bikeId,
            [$chain],
            $in->today->date,
            match (true) {
                $best !== null => Verb::Swap,
                $chain->terms->dripOnly => Verb::TopUp,
                default => Verb::PotDay,
            },
            swapTo: $best,
        );
    }
}
