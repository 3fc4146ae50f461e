<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Plan\Rail;

/** The chain on a bike, when its wax is gone, unknown, or short of the next rides. */
final readonly class FittedChains implements NextSource
{
    /** House rule: what lies further ahead than this is no news yet, in days. */
    private const DAYS = 7;

    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $item = $rail->fitted === null || $in->underWay($rail->fitted) ? null : $this->of($rail, $rail->fitted, $in->today->date);
            $item === null || ($items[] = $item);
        }

        return $items;
    }

    private function of(Rail $rail, ChainState $chain, string $today): ?NextItem
    {
        $best = $rail->bestHanging();
        $until = $rail->goodUntil;
        $verb = match (true) {
            $best !== null => Verb::Swap,
            $chain->terms->dripOnly => Verb::TopUp,
            default => Verb::Dip,
        };

        return match (true) {
            $chain->dryness->wetRide !== null => null,
            $chain->wax->life !== null && $chain->wax->life->due() => new NextItem(
                NextKind::Overdue,
                $rail->bikeId,
                [$chain],
                $today,
                $verb,
                true,
                swapTo: $best,
            ),
            $chain->status === ChainStatus::Unsure => new NextItem(NextKind::Unsure, $rail->bikeId, [$chain], $today, $verb, swapTo: $best),
            $until !== null && $until->daysAhead <= self::DAYS && $best !== null => new NextItem(
                NextKind::Outrun,
                $rail->bikeId,
                [$chain],
                $until->date,
                Verb::Swap,
                swapTo: $best,
                about: $until,
            ),
            $chain->wax->life !== null && !$chain->mayTopUp() => new NextItem(
                NextKind::ToppedUp,
                $rail->bikeId,
                [$chain],
                $until?->date,
                $verb,
                swapTo: $best,
                about: $until,
            ),
            default => null,
        };
    }
}
