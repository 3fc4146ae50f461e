<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;
use LogicException;

/** The logbook of a workshop: what happened, and what follows from it. Nothing here is ever stored. */
final class Book
{
    public readonly Fittings $fittings;

    /** @var list<Ride>|null what was logged, once it was asked for */
    private ?array $loggedRides = null;

    /** @var list<Ride>|null */
    private ?array $rides = null;

    /** @var array<int, list<Ride>>|null by bike, in order; 0: of none yet */
    private ?array $ridesByBike = null;

    private ?Histories $histories = null;

    private ?BookTerms $terms = null;

    /** @var array<int, array<int, ChainState>> by instant and chain: all that is drawn and planned at one instant asks for the same */
    private array $states = [];

    /** @var array<string, Fittings> by slot */
    private array $fittingsBySlot = [];

    /** @var array<int, int> when each part went out of use */
    private readonly array $retiredS;

    /**
     * @param list<int> $bikeIds in the order in which they are shown
     * @param list<int> $chainIds likewise
     * @param list<Fitting> $fittingEntries
     * @param list<Ride>|Closure(): list<Ride> $logged read when they are first asked for: they are many, and much does without
     * @param list<Event> $events
     * @param list<Part> $parts
     */
    public function __construct(
        public readonly array $bikeIds,
        public readonly array $chainIds,
        public readonly Settings $settings,
        private readonly array $fittingEntries,
        private readonly array|Closure $logged,
        private readonly array $events,
        public readonly ?FillIn $fillIn = null,
        public readonly array $parts = [],
    ) {
        $retiredS = [];
        foreach ($events as $event) {
            $event instanceof Retirement &&
                ($retiredS[$event->chainId] = min($retiredS[$event->chainId] ?? PHP_INT_MAX, $event->moment->unixS));
        }
        $this->retiredS = $retiredS;
        $this->fittings = $this->fittingsOf(Slot::Chain);
    }

    /** @return list<Ride> in order, those that were filled in among them */
    public function rides(): array
    {
        return $this->rides ??= InOrder::of([...$this->logged(), ...$this->fillIn?->rides($this->logged()) ?? []]);
    }

    /** @return list<Ride> */
    private function logged(): array
    {
        return $this->loggedRides ??= $this->logged instanceof Closure ? ($this->logged)() : $this->logged;
    }

    /** @return array<int, list<Ride>> by bike, in order; 0: of none yet */
    private function ridesByBike(): array
    {
        if ($this->ridesByBike === null) {
            $this->ridesByBike = [];
            foreach ($this->rides() as $ride) {
                $this->ridesByBike[$ride->bikeId ?? 0][] = $ride;
            }
        }

        return $this->ridesByBike;
    }

    /** @return list<Ride> that nobody gave a bike yet, in order */
    public function ridesWithoutBike(): array
    {
        return $this->ridesByBike()[0] ?? [];
    }

    /** What was in one slot of which bike, and when. */
    public function fittingsOf(Slot $slot): Fittings
    {
        return $this->fittingsBySlot[$slot->value] ??= new Fittings(
            array_values(array_filter($this->fittingEntries, fn(Fitting $fitting) => $fitting->slot === $slot)),
            $this->retiredS,
        );
    }

    /** How an estimate would be spread, as the logbook stands. */
    public function shareOf(Estimate $estimate): EstimateShare
    {
        $fillIn = $this->fillIn ?? throw new LogicException('A logbook without days to fill in.');

        return $fillIn->shareOf($estimate, $this->logged());
    }

    /** @return list<TopUp> of all chains, in order */
    public function topUps(): array
    {
        return InOrder::of(array_values(array_filter($this->events, fn(Entry $event) => $event instanceof TopUp)));
    }

    /** @return list<Dip> of all chains, in order */
    public function dips(): array
    {
        return InOrder::of(array_values(array_filter($this->events, fn(Entry $event) => $event instanceof Dip)));
    }

    /** What was ridden since the drivetrain of a bike was brushed; null: nobody said that it ever was. */
    public function brushed(int $bikeId, int $nowS): ?Brushed
    {
        $brushings = array_values(
            array_filter(
                $this->events,
                fn(Entry $event) => $event instanceof Brushing && $event->bikeId === $bikeId && $event->moment->unixS <= $nowS,
            ),
        );
        $last = array_last(InOrder::of($brushings));

        return $last === null
            ? null
            : new Brushed(
                $last,
                array_sum(
                    array_map(
                        fn(Ride $ride) => Entry::compare($ride, $last) > 0 && $ride->moment->unixS <= $nowS ? $ride->km : 0.0,
                        $this->ridesOf($bikeId),
                    ),
                ),
            );
    }

    public function lastOdometer(int $bikeId): ?Estimate
    {
        return $this->fillIn?->lastOdometer($bikeId);
    }

    /** The same logbook with one more ride, as if it had been logged. */
    public function withRide(Ride $ride): self
    {
        return new self(
            $this->bikeIds,
            $this->chainIds,
            $this->settings,
            $this->fittingEntries,
            [...$this->logged(), $ride],
            $this->events,
            $this->fillIn,
            $this->parts,
        );
    }

    /**
     * The same logbook as if more had happened.
     *
     * @param list<Fitting> $fittings
     * @param list<Ride> $rides
     * @param list<Dip|TopUp> $events
     */
    public function with(array $fittings, array $rides, array $events): self
    {
        return new self(
            $this->bikeIds,
            $this->chainIds,
            $this->settings,
            [...$this->fittingEntries, ...$fittings],
            [...$this->logged(), ...$rides],
            [...$this->events, ...$events],
            $this->fillIn,
            $this->parts,
        );
    }

    public function chain(int $chainId, int $nowS): ChainState
    {
        // This instant and the one before it: a process that watches asks at ever later ones.
        isset($this->states[$nowS]) || ($this->states = array_slice($this->states, -1, null, true) + [$nowS => []]);

        return $this->states[$nowS][$chainId] ??= ChainState::derive(
            $this->history($chainId),
            $this->terms()->ofChain($chainId, $nowS),
            $this->settings,
            $nowS,
        );
    }

    public function history(int $chainId): ChainHistory
    {
        return $this->histories()->of($chainId);
    }

    public function chainOfRide(Ride $ride): ?int
    {
        return $ride->bikeId === null ? null : $this->fittings->componentOn($ride->bikeId, $ride->moment->unixS);
    }

    /** @return list<Ride> of one bike, in order */
    public function ridesOf(int $bikeId): array
    {
        return $this->ridesByBike()[$bikeId] ?? [];
    }

    /** @return list<Ride> that no chain was on the bike for */
    public function ridesWithoutChain(): array
    {
        return $this->histories()->ridesWithoutChain;
    }

    /** The bike whose rail a chain hangs on, or whose frame it is on. */
    public function bikeOfChain(int $chainId, int $atS): ?int
    {
        return $this->fittings->bikeOf($chainId, $atS) ?? $this->settings->home($chainId, $atS);
    }

    /** @return list<Conflict> empty if everything in the logbook can have happened */
    public function conflicts(): array
    {
        $conflicts = $this->fittings->conflicts;
        foreach ($this->chainIds as $chainId) {
            $history = $this->history($chainId);
            $retirement = array_values(array_filter($history->events, fn(Entry $event) => $event instanceof Retirement))[0] ?? null;
            if ($retirement === null) {
                continue;
            }
            // What goes on after it, and a second end, cannot be; what was on the bike by then came off.
            foreach ([...$history->events, ...$this->fittingEntries] as $entry) {
                $concerned =
                    $entry instanceof Fitting ? $entry->componentId === $chainId : !($entry instanceof Noise) && $entry !== $retirement;
                if ($concerned && Entry::compare($entry, $retirement) > 0) {
                    $conflicts[] = new Conflict(ConflictKind::AfterRetirement, $chainId, $entry, $retirement);
                }
            }
        }

        return $conflicts;
    }

    public function inventory(): Inventory
    {
        return new Inventory($this, $this->parts);
    }

    public function terms(): BookTerms
    {
        return $this->terms ??= new BookTerms($this);
    }

    private function histories(): Histories
    {
        return $this->histories ??= new Histories(array_diff_key($this->ridesByBike(), [0 => true]), $this->events, $this->fittings);
    }
}
