<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The life of a chain coat by coat, the oldest first. */
final readonly class ChainCycles
{
    /**
     * A cycle begins with a dip; with the strip before it, where it was stripped; with wax that it came with; on a bike that lives on drip
     * wax alone with each coat of that. Rides count to the cycle in which they start.
     *
     * @return list<ChainCycle>
     */
    public static function of(ChainHistory $history, Settings $settings, bool $dripOnly): array
    {
        /** @var list<non-empty-list<Entry>> $groups */
        $groups = [];
        foreach ($history->entries() as $entry) {
            $last = count($groups) - 1;
            if ($last < 0 || (self::beginning($entry, $dripOnly) !== null && self::wasUsed($groups[$last]))) {
                $groups[] = [$entry];
            } else {
                $groups[$last][] = $entry;
            }
        }

        return array_map(
            fn(array $group, int $i) => self::cycle($group, ($groups[$i + 1][0] ?? null)?->moment->unixS, $settings, $dripOnly),
            $groups,
            array_keys($groups),
        );
    }

    /** The entry, if a cycle begins with it. */
    private static function beginning(Entry $entry, bool $dripOnly): Dip|Strip|Opening|TopUp|null
    {
        return match (true) {
            $entry instanceof Dip, $entry instanceof Strip, $entry instanceof Opening => $entry,
            $entry instanceof TopUp && $dripOnly => $entry,
            default => null,
        };
    }

    /** @param list<Entry> $group */
    private static function wasUsed(array $group): bool
    {
        return array_filter($group, fn(Entry $entry) => $entry instanceof Ride || $entry instanceof Dip) !== [];
    }

    /** @param non-empty-list<Entry> $group */
    private static function cycle(array $group, ?int $untilS, Settings $settings, bool $dripOnly): ChainCycle
    {
        $rides = array_values(array_filter($group, fn(Entry $entry) => $entry instanceof Ride));
        $begins = array_values(array_filter(array_map(fn(Entry $entry) => self::beginning($entry, $dripOnly), $group)));
        $dips = array_values(array_filter($begins, fn(Entry $entry) => $entry instanceof Dip));

        return new ChainCycle(
            $dips[0] ?? ($begins[0] ?? null),
            $group[0]->moment->unixS,
            $untilS,
            array_sum(array_map(fn(Ride $ride) => $ride->km, $rides)),
            array_sum(array_map(fn(Ride $ride) => $ride->km * $settings->factor($ride->condition, $ride->moment->unixS), $rides)),
            count($rides),
            count(array_filter($group, fn(Entry $entry) => $entry instanceof TopUp)),
            array_filter($group, fn(Entry $entry) => $entry instanceof Noise) !== [],
        );
    }
}
