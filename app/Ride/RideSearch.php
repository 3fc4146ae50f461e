<?php

declare(strict_types=1);

namespace App\Ride;

use App\Support\ListSearch;
use App\Support\SortOrder;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Riders\Whose;

/** Finds rides by bike, chain, condition, days and words, in the order that was asked for. */
final readonly class RideSearch
{
    public function __construct(private Book $book, private Translator $translator, private Whose $whose) {}

    /** In order of time, if no other was asked for: what is shown first comes last. */
    public function __invoke(ListSearch $search): Rides
    {
        $rides = match (true) {
            $search->chainId !== null => $this->book->history($search->chainId)->rides,
            $search->bikeId !== null => $this->book->ridesOf($search->bikeId),
            default => $this->whose->rides($this->book->rides()),
        };
        $rides = $search->looking() ? $rides->where(fn(Ride $ride) => $this->wanted($ride, $search)) : $rides;

        return $this->ordered($rides, $search->sort);
    }

    private function wanted(Ride $ride, ListSearch $search): bool
    {
        return ($search->bikeId === null || $ride->bikeId === $search->bikeId) &&
            ($search->condition === null || $ride->condition === $search->condition) &&
            (($search->from === null && $search->to === null) || $search->onDay($this->day($ride, 'yyyy-MM-dd'))) &&
            ($search->text === '' || $search->found($this->words($ride)));
    }

    /** What a ride can be found by. */
    private function words(Ride $ride): string
    {
        $chainId = $this->book->chainOfRide($ride);

        return implode(' ', [
            $ride->bikeId === null ? $this->translator->say('ui.rides.no_bike') : $this->translator->names->bike($ride->bikeId),
            $chainId === null ? $this->translator->say('ui.rides.no_chain') : $this->translator->names->fullChain($chainId),
            $this->translator->say("chain.condition.{$ride->condition->value}"),
            $this->day($ride, 'EEEE d MMMM y'),
            $this->translator->quantities->distance($ride->km, 1),
            $ride->guess === null ? '' : $this->translator->say('ui.rides.estimated'),
        ]);
    }

    private function ordered(Rides $rides, string $sort): Rides
    {
        $order = new SortOrder($sort);
        $key = match ($order->column) {
            'day' => fn(Ride $ride): int => $ride->moment->unixS,
            'distance' => fn(Ride $ride): float => $ride->km,
            'hours' => fn(Ride $ride): float => $ride->hours ?? 0.0,
            'bike' => fn(Ride $ride): string => $ride->bikeId === null ? '' : $this->translator->names->bike($ride->bikeId),
            'condition' => fn(Ride $ride): string => $ride->condition->value,
            default => null,
        };

        return $key === null || count($rides) === 0
            ? $rides
            : $rides->arranged(array_reverse($order->by(range(count($rides) - 1, 0), fn(int $place) => $key($rides[$place]))));
    }

    private function day(Ride $ride, string $pattern): string
    {
        return $this->translator->quantities->date($ride->moment->unixS, $pattern);
    }
}
