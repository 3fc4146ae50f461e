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
        $entries = [...$history->rides, ...$history->events];
        usort($entries, Entry::compare(...));
        /** @var list<non-empty-list<Entry>> $groups */
        $groups = [];
        foreach ($entries as $entry) {
            $last = count($groups) - 1;
            if ($last < 0 || (self::begins($entry, $dripOnly) && self::wasUsed($groups[$last]))) {
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

    private static function begins(Entry $entry, bool $dripOnly): bool
    {
        return $entry instanceof Dip || $entry instanceof Strip || $entry instanceof Opening || ($dripOnly && $entry instanceof TopUp);
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
        $begin = array_values(array_filter($group, fn(Entry $entry) => self::begins($entry, $dripOnly)));
        $dips = array_values(array_filter($begin, fn(Entry $entry) => $entry instanceof Dip));
        $first = $dips[0] ?? ($begin[0] ?? null);

        return new ChainCycle(
            $first instanceof Dip || $first instanceof Strip || $first instanceof Opening || $first instanceof TopUp ? $first : null,
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
