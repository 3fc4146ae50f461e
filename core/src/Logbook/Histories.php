<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Which ride and which event belongs to which chain: a ride to the one that was on its bike when it began. */
final readonly class Histories
{
    /** @var array<int, ChainHistory> by chain */
    private array $byChain;

    /** @var list<Ride> that no chain was on the bike for */
    public array $ridesWithoutChain;

    /**
     * @param array<int, list<Ride>> $ridesByBike in order
     * @param list<Event> $unsorted
     */
    public function __construct(array $ridesByBike, array $unsorted, Fittings $fittings)
    {
        [$rides, $events, $without] = [[], [], []];
        foreach ($ridesByBike as $bikeId => $bikeRides) {
            $span = null;
            foreach ($bikeRides as $ride) {
                // Rides come in order, so the span of the ride before nearly always still holds.
                if ($span === null || !$span->holdsAt($ride->moment->unixS)) {
                    $span = $fittings->spanAt($bikeId, $ride->moment->unixS);
                }
                if ($span !== null) {
                    $rides[$span->componentId][] = $ride;
                } else {
                    $without[] = $ride;
                }
            }
        }
        foreach (InOrder::of($unsorted) as $event) {
            $chainId = $event->component($fittings);
            if ($chainId !== null) {
                $events[$chainId][] = $event;
            }
        }
        $this->ridesWithoutChain = InOrder::of($without);
        $histories = [];
        foreach ([...array_keys($rides), ...array_keys($events)] as $chainId) {
            $histories[$chainId] ??= new ChainHistory($chainId, InOrder::of($rides[$chainId] ?? []), $events[$chainId] ?? []);
        }
        $this->byChain = $histories;
    }

    public function of(int $chainId): ChainHistory
    {
        return $this->byChain[$chainId] ?? new ChainHistory($chainId, [], []);
    }
}
