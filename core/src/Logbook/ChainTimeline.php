<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The newest coats of a chain, and all that was done in them. */
final readonly class ChainTimeline
{
    /**
     * @param list<ChainCycle> $cycles the newest first
     * @param int $older how many there are besides
     * @param int $fromS from when on it tells everything, in Unix seconds
     * @param list<Entry> $entries from then on
     * @param array<int, Distance> $readAt by reading: its chain had run so far
     */
    private function __construct(public array $cycles, public int $older, public int $fromS, public array $entries, public array $readAt) {}

    /** @param bool $dripOnly whether a coat of drip wax begins a cycle */
    public static function of(ChainHistory $history, Settings $settings, bool $dripOnly, int $most): self
    {
        $all = array_reverse(ChainCycles::of($history, $settings, $dripOnly));
        $cycles = array_slice($all, 0, $most);
        $older = count($all) - count($cycles);
        // With the oldest of all stands also what was before any wax.
        $fromS = $older === 0 ? PHP_INT_MIN : array_last($cycles)->fromS ?? PHP_INT_MIN;
        $events = array_filter($history->events, fn(Entry $event) => $event->moment->unixS >= $fromS);
        $readings = array_filter($events, fn(Entry $event) => $event instanceof Reading);

        return new self(
            $cycles,
            $older,
            $fromS,
            [...$history->rides->between($fromS, null), ...array_values($events)],
            array_combine(array_map(fn(Entry $reading) => $reading->id, $readings), array_map($history->kmBefore(...), $readings)),
        );
    }
}
