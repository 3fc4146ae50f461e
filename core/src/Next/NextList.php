<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** What to do next, in order of its day: derived from the rails, never entered. */
final readonly class NextList
{
    /** @return list<NextItem> */
    public static function of(NextInput $in): array
    {
        $sources = [
            new SpentWaiting(),
            new RidesWithoutPlace(),
            new Commutes(),
            new OpenJobs(),
            new Jars(),
            new Baths(),
            new RidesIn(),
            new BareChains(),
            new WetChains(),
            new WornChains(),
            new Measurements(),
            new Supplies(),
            new EventDips(),
            new FittedChains(),
            new Wipes(),
            new NoneWaxed(),
            new PlannedWork(),
        ];
        $items = array_merge(...array_map(fn(NextSource $source) => $source->items($in), $sources));
        $items = array_values(array_filter($items, fn(NextItem $item) => !PlannedWork::replaces($in, $item)));
        usort(
            $items,
            fn(NextItem $a, NextItem $b) => $b->urgent <=> $a->urgent ?:
            ($a->date ?? '9999') <=> ($b->date ?? '9999') ?:
            $b->late <=> $a->late ?:
            $a->kind->rank() <=> $b->kind->rank(),
        );

        return $items;
    }
}
