<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The newest coats of a chain, and all that was done in them. */
final readonly class ChainTimeline
{
    /**
     * @param list<ChainCycle> $cycles the newest first
     * @param int $older how many there are besides
     * @param list<Entry> $entries of these cycles; with the oldest of all also what was before any wax
     * @param array<int, Distance> $readAt by reading: its chain had run so far
     */
    private function __construct(public array $cycles, public int $older, public array $entries, public array $readAt) {}

    /** @param bool $dripOnly whether a coat of drip wax begins a cycle */
    public static function of(ChainHistory $history, Settings $settings, bool $dripOnly, int $most): self
    {
        $all = array_reverse(ChainCycles::of($history, $settings, $dripOnly));
        $cycles = array_slice($all, 0, $most);
        $older = count($all) - count($cycles);
        $fromS = self::begins($cycles, $older);
        $events = array_filter($history->events, fn(Entry $event) => $event->moment->unixS >= $fromS);
        $readings = array_filter($events, fn(Entry $event) => $event instanceof Reading);

        return new self(
            $cycles,
            $older,
            [...$history->rides->between($fromS, null), ...array_values($events)],
            array_combine(array_map(fn(Entry $reading) => $reading->id, $readings), array_map($history->kmBefore(...), $readings)),
        );
    }

    /** From when on it tells everything: of all coats, or of those that are in it. */
    public function fromS(): int
    {
        return self::begins($this->cycles, $this->older);
    }

    /** @param list<ChainCycle> $cycles */
    private static function begins(array $cycles, int $older): int
    {
        return $older === 0 ? PHP_INT_MIN : array_last($cycles)->fromS ?? PHP_INT_MIN;
    }
}
