<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Which ride and which event belongs to which chain: a ride to the one that was on its bike when it began. */
final readonly class Histories
{
    /** @var array<int, ChainHistory> by chain */
    private array $byChain;

    /** @var list<array{RideRun, int, int}> that no chain was on the bike for */
    private array $without;

    /**
     * @param array<int, RideRun> $runs by bike
     * @param list<Event> $unsorted
     */
    public function __construct(array $runs, array $unsorted, Fittings $fittings)
    {
        [$rides, $events, $without] = [[], [], []];
        foreach ($runs as $bikeId => $run) {
            $from = 0;
            foreach ($fittings->spansOn($bikeId) as $span) {
                $first = self::placeOf($run, $span->fromS, $from);
                $past = $span->untilS === null ? count($run) : self::placeOf($run, $span->untilS, $first);
                $from < $first && ($without[] = [$run, $from, $first]);
                $first < $past && ($rides[$span->componentId][] = [$run, $first, $past]);
                $from = $past;
            }
            $from < count($run) && ($without[] = [$run, $from, count($run)]);
        }
        foreach (InOrder::of($unsorted) as $event) {
            $chainId = $event->component($fittings);
            if ($chainId !== null) {
                $events[$chainId][] = $event;
            }
        }
        $this->without = $without;
        $histories = [];
        foreach (array_keys($rides + $events) as $chainId) {
            $histories[$chainId] = new ChainHistory($chainId, Rides::ofStretches($rides[$chainId] ?? []), $events[$chainId] ?? []);
        }
        $this->byChain = $histories;
    }

    /**
     * The history of one chain alone, as the others would have it.
     *
     * @param array<int, RideRun> $runs by bike
     * @param list<Event> $unsorted its own, and maybe others
     */
    public static function alone(int $chainId, array $runs, array $unsorted, Fittings $fittings): ChainHistory
    {
        [$rides, $from] = [[], []];
        foreach ($fittings->spansOf($chainId) as $span) {
            $run = $runs[$span->bikeId] ?? RideRun::none($span->bikeId);
            $first = self::placeOf($run, $span->fromS, $from[$span->bikeId] ?? 0);
            $past = $span->untilS === null ? count($run) : self::placeOf($run, $span->untilS, $first);
            $first < $past && ($rides[] = [$run, $first, $past]);
            $from[$span->bikeId] = $past;
        }
        $own = array_values(array_filter($unsorted, fn(Event $event) => $event->component($fittings) === $chainId));

        return new ChainHistory($chainId, Rides::ofStretches($rides), InOrder::of($own));
    }

    public function of(int $chainId): ChainHistory
    {
        return $this->byChain[$chainId] ?? new ChainHistory($chainId, Rides::of([]), []);
    }

    /** That no chain was on the bike for. */
    public function ridesWithoutChain(): Rides
    {
        return Rides::ofStretches($this->without);
    }

    /** The first ride from a place on that did not begin before an instant: spans are in order as the rides are. */
    private static function placeOf(RideRun $run, int $atS, int $from): int
    {
        for ($count = count($run); $from < $count && $run->atS[$from] < $atS; $from++);

        return $from;
    }
}
