<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Entries in the order in which they happened. */
final class InOrder
{
    /**
     * @template T of Entry
     *
     * @param list<T> $entries
     *
     * @return list<T>
     */
    public static function of(array $entries): array
    {
        // Rows mostly arrive in order; finding that out is far cheaper than sorting them again.
        $before = null;
        foreach ($entries as $entry) {
            if (
                $before !== null &&
                $before->moment->unixS >= $entry->moment->unixS &&
                ($before->moment->unixS > $entry->moment->unixS || Entry::compare($before, $entry) > 0)
            ) {
                return self::sort($entries);
            }
            $before = $entry;
        }

        return $entries;
    }

    /**
     * By instant first, which needs no comparisons; then within each instant.
     *
     * @template T of Entry
     *
     * @param list<T> $entries
     *
     * @return list<T>
     */
    private static function sort(array $entries): array
    {
        $byInstant = [];
        foreach ($entries as $entry) {
            $byInstant[$entry->moment->unixS][] = $entry;
        }
        ksort($byInstant);
        $sorted = [];
        foreach ($byInstant as $atOnce) {
            count($atOnce) > 1 && usort($atOnce, Entry::compare(...));
            array_push($sorted, ...$atOnce);
        }

        return $sorted;
    }
}
