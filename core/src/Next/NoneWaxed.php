<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;

/** Bikes that will soon need a waxed chain while none hangs ready. */
final readonly class NoneWaxed implements NextSource
{
    /** House rule: what lies further ahead than this is no news yet, in days. */
    private const DAYS = 14;

    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $fitted = $rail->fitted;
            if (
                $fitted === null ||
                $fitted->terms->dripOnly ||
                array_filter($rail->hanging, fn(ChainState $chain) => $chain->rideable()) !== []
            ) {
                continue;
            }
            $due = $fitted->wax->life !== null && $fitted->wax->life->due();
            if ($due || ($rail->goodUntil !== null && $rail->goodUntil->daysAhead <= self::DAYS)) {
                $waiting = array_values(array_filter($rail->forThePot(), fn(ChainState $chain) => !$in->inJob($chain)));
                $dippable = $waiting !== [] ? $waiting : ($due ? [$fitted] : []);
                $items[] = new NextItem(
                    NextKind::NoneWaxed,
                    $rail->bikeId,
                    [$fitted, ...$dippable],
                    $due ? $in->today->date : $rail->goodUntil->date,
                    $dippable === [] ? null : Verb::Dip,
                    about: $rail->goodUntil,
                );
            }
        }

        return $items;
    }
}
