<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;
use LogicException;

/** The logbook of a workshop: what happened, and what follows from it, which is kept at most until the next entry. */
final class Book
{
    /** @var array<int, RideRun>|null what was logged by bike, once it was asked for; 0: of none yet */
    private ?array $loggedRuns = null;

    /** @var array<int, RideRun>|null the same with what was filled in */
    private ?array $runs = null;

    private ?Rides $rides = null;

    private ?Histories $histories = null;

    private ?ChainHistory $alone = null;

    private ?BookTerms $terms = null;

    /** @var array<int, array<int, ChainState>> by instant and chain: all that is drawn and planned at one instant asks for the same */
    private array $states = [];

    /** @var array<string, Fittings> by slot */
    private array $fittingsBySlot = [];

    private readonly Events $events;

    /** @var array<int, int>|null when each chain and part went out of use, once it was asked for */
    private ?array $retiredS = null;

    /**
     * @param list<int> $bikeIds in the order in which they are shown
     * @param list<int> $chainIds likewise
     * @param list<Fitting>|Closure(): list<Fitting> $fitted read when they are first asked for, and no snapshot says what was where
     * @param list<Ride>|Closure(): array<int, RideRun> $logged by bike, 0: of none yet; read when they are first asked for: they are many,
     *     and much does without
     * @param list<Event>|Events $events
     * @param list<Part> $parts
     * @param Snapshot|null $snapshot of this very logbook; none of one as if more had happened
     */
    public function __construct(
        public readonly array $bikeIds,
        public readonly array $chainIds,
        public readonly Settings $settings,
        private array|Closure $fitted,
        private readonly array|Closure $logged,
        array|Events $events,
        public readonly ?FillIn $fillIn = null,
        public readonly array $parts = [],
        private readonly ?Snapshot $snapshot = null,
    ) {
        $this->events = $events instanceof Events ? $events : Events::these($events);
    }

    /** In order, of all bikes, those that were filled in among them. */
    public function rides(): Rides
    {
        return $this->rides ??= Rides::merged(array_values($this->runs()));
    }

    /** Those of one bike. */
    public function ridesOf(int $bikeId): Rides
    {
        return Rides::whole($this->runs()[$bikeId] ?? RideRun::none($bikeId));
    }

    /** @return array<int, Rides> by bike; 0: of none yet */
    public function ridesByBike(): array
    {
        return array_map(Rides::whole(...), $this->runs());
    }

    /** That nobody gave a bike yet. */
    public function ridesWithoutBike(): Rides
    {
        return $this->ridesOf(0);
    }

    /** @return array<int, RideRun> by bike, those that were filled in among them; 0: of none yet */
    private function runs(): array
    {
        if ($this->runs === null) {
            $filled = [];
            foreach ($this->fillIn?->rides($this->loggedWhereFilled()) ?? [] as $ride) {
                $filled[(int) $ride->bikeId][] = $ride;
            }
            $this->runs = self::withMore($this->logged(), $filled);
        }

        return $this->runs;
    }

    /** @return array<int, RideRun> by bike; 0: of none yet */
    private function logged(): array
    {
        return $this->loggedRuns ??= $this->logged instanceof Closure ? ($this->logged)() : self::withMore([], self::byBike($this->logged));
    }

    /** @return list<Ride> what was logged on the days on which anything may be filled in, one more estimate's among them */
    private function loggedWhereFilled(?Estimate $also = null): array
    {
        $rides = [];
        foreach ($this->fillIn?->fromS($also) ?? [] as $bikeId => $fromS) {
            $ofBike = Rides::whole($this->logged()[$bikeId] ?? RideRun::none($bikeId));
            $rides[] = $ofBike->slice($ofBike->countBefore($fromS))->all();
        }

        return array_merge(...$rides);
    }

    /**
     * @param list<Ride> $rides
     *
     * @return array<int, list<Ride>>
     */
    private static function byBike(array $rides): array
    {
        $byBike = [];
        foreach ($rides as $ride) {
            $byBike[$ride->bikeId ?? 0][] = $ride;
        }

        return $byBike;
    }

    /**
     * @param array<int, RideRun> $runs
     * @param array<int, list<Ride>> $more by bike
     *
     * @return array<int, RideRun>
     */
    private static function withMore(array $runs, array $more): array
    {
        foreach ($more as $bikeId => $rides) {
            $runs[$bikeId] = ($runs[$bikeId] ?? RideRun::none($bikeId === 0 ? null : $bikeId))->with($rides);
        }

        return $runs;
    }

    /** @return array<int, int> */
    private function retiredS(): array
    {
        if ($this->retiredS === null) {
            $this->retiredS = [];
            foreach ($this->retirements() as $one) {
                $this->retiredS[$one->chainId] = min($this->retiredS[$one->chainId] ?? PHP_INT_MAX, $one->moment->unixS);
            }
        }

        return $this->retiredS;
    }

    /** Which chain was on which bike, and when. */
    public function fittings(): Fittings
    {
        return $this->fittingsOf(Slot::Chain);
    }

    /** What was in one slot of which bike, and when. */
    public function fittingsOf(Slot $slot): Fittings
    {
        return $this->fittingsBySlot[$slot->value] ??= $this->kept(
            "fittings {$slot->value}",
            fn() => new Fittings(
                array_values(array_filter($this->fitted(), fn(Fitting $fitting) => $fitting->slot === $slot)),
                $this->retiredS(),
            ),
        );
    }

    /** @return list<Fitting> */
    private function fitted(): array
    {
        return $this->fitted = $this->fitted instanceof Closure ? ($this->fitted)() : $this->fitted;
    }

    /** How an estimate would be spread, as the logbook stands. */
    public function shareOf(Estimate $estimate): EstimateShare
    {
        $fillIn = $this->fillIn ?? throw new LogicException('A logbook without days to fill in.');

        return $fillIn->shareOf($estimate, $this->loggedWhereFilled($estimate));
    }

    /** @return list<TopUp> of all chains, in order */
    public function topUps(): array
    {
        /** @var list<TopUp> */
        return $this->events->of(EntryKind::TopUp);
    }

    /** @return list<Strip> of all chains, in order */
    public function strips(): array
    {
        /** @var list<Strip> */
        return $this->events->of(EntryKind::Strip);
    }

    /** @return list<Dip> of all chains, in order */
    public function dips(): array
    {
        /** @var list<Dip> */
        return $this->events->of(EntryKind::Dip);
    }

    /** @return list<Brushing> of all bikes, in order */
    private function brushings(): array
    {
        /** @var list<Brushing> */
        return $this->events->of(EntryKind::Brushing);
    }

    /** @return list<Retirement> of all chains and parts, in order */
    private function retirements(): array
    {
        /** @var list<Retirement> */
        return $this->events->of(EntryKind::Retirement);
    }

    /** Reads what was not yet asked for. */
    public function settle(): void
    {
        $this->logged();
        $this->fitted();
        $this->events->all();
    }

    /** What was ridden since the drivetrain of a bike was brushed; null: nobody said that it ever was. */
    public function brushed(int $bikeId, int $nowS): ?Brushed
    {
        return $this->kept("brushed {$bikeId}", fn() => $this->findBrushed($bikeId, $nowS), $nowS);
    }

    private function findBrushed(int $bikeId, int $nowS): ?Brushed
    {
        $last = array_last(
            array_filter($this->brushings(), fn(Brushing $event) => $event->bikeId === $bikeId && $event->moment->unixS <= $nowS),
        );

        return $last === null ? null : new Brushed($last, $this->ridesOf($bikeId)->through($nowS)->after($last)->km());
    }

    public function lastOdometer(int $bikeId): ?Estimate
    {
        return $this->fillIn?->lastOdometer($bikeId);
    }

    /** The same logbook with one more ride, as if it had been logged. */
    public function withRide(Ride $ride): self
    {
        return $this->with([], [$ride], []);
    }

    /**
     * The same logbook as if more had happened.
     *
     * @param list<Fitting> $fittings
     * @param list<Ride> $rides
     * @param list<Dip|TopUp|Strip> $events
     */
    public function with(array $fittings, array $rides, array $events): self
    {
        return new self(
            $this->bikeIds,
            $this->chainIds,
            $this->settings,
            $fittings === [] ? $this->fitted(...) : fn() => [...$this->fitted(), ...$fittings],
            fn() => self::withMore($this->logged(), self::byBike($rides)),
            $this->events->with($events),
            $this->fillIn,
            $this->parts,
        );
    }

    public function chain(int $chainId, int $nowS): ChainState
    {
        // This instant and the one before it: a process that watches asks at ever later ones.
        isset($this->states[$nowS]) || ($this->states = array_slice($this->states, -1, null, true) + [$nowS => []]);

        return $this->states[$nowS][$chainId] ??= $this->state($chainId, $nowS);
    }

    /** What a ride left on its chain: of the coat that is on it now by what its bike asks now, of those before by what it asked then. */
    public function leftAfter(Ride $ride, int $nowS): ?WaxLeft
    {
        $chainId = $this->chainOfRide($ride);
        if ($chainId === null) {
            return null;
        }
        $chain = $this->chain($chainId, $nowS);
        $place = $chain->wax->placeOf($ride);

        return $place === null ? $this->left($chainId, $ride->moment->unixS) : $chain->leftAfterRide($place);
    }

    /** How far a chain's wax went from an instant on: of many instants, where all of the state would be much. */
    private function left(int $chainId, int $atS): WaxLeft
    {
        return $this->snapshot !== null && $this->snapshot->lately($atS) && !$this->snapshot->holds($atS)
            ? $this->snapshot->of("then left {$chainId} {$atS}", fn() => $this->derive($chainId, $atS)->left())
            : $this->chain($chainId, $atS)->left();
    }

    private function state(int $chainId, int $nowS): ChainState
    {
        $derive = fn() => $this->derive($chainId, $nowS);

        return match (true) {
            $this->snapshot === null || !$this->snapshot->lately($nowS) => $derive(),
            $this->snapshot->holds($nowS) => $this->snapshot->of("chain {$chainId}", $derive)->at($nowS, $this->settings),
            default => $this->snapshot->of("then chain {$chainId} {$nowS}", $derive),
        };
    }

    private function derive(int $chainId, int $nowS): ChainState
    {
        return ChainState::derive($this->histories()->of($chainId), $this->terms()->ofChain($chainId, $nowS), $this->settings, $nowS);
    }

    /**
     * What follows from the logbook, from the snapshot where one is kept.
     *
     * @template T
     *
     * @param string $key says all that it follows from, but for the logbook
     * @param Closure(): T $make
     * @param int|null $nowS the instant that it is of, if that makes a difference: only by which entries it is after
     *
     * @return T
     */
    public function kept(string $key, Closure $make, ?int $nowS = null): mixed
    {
        return $this->snapshot !== null && ($nowS === null || $this->snapshot->holds($nowS)) ? $this->snapshot->of($key, $make) : $make();
    }

    /** Whether a chain or a part has gone out of use, whenever. */
    public function isRetired(int $componentId): bool
    {
        return isset($this->retiredS()[$componentId]);
    }

    /** When a bike was ridden last; null: never. Unix seconds. */
    public function lastRiddenS(int $bikeId): ?int
    {
        return $this->kept("last ridden {$bikeId}", fn() => $this->ridesOf($bikeId)->last()?->moment->unixS);
    }

    /** Of all rides of a bike that were timed; null where none was. */
    public function hoursPerKm(int $bikeId): ?float
    {
        return $this->kept("hours per km {$bikeId}", fn() => Pace::hoursPerKm($this->ridesOf($bikeId)));
    }

    /** Of the first that is asked for only its own events are read; whoever asks for a second one mostly wants them all. */
    public function history(int $chainId): ChainHistory
    {
        if ($this->histories === null && $this->alone === null) {
            $this->alone = Histories::alone($chainId, $this->runs(), $this->events->about($chainId), $this->fittings());
        }

        return $this->alone?->chainId === $chainId ? $this->alone : $this->histories()->of($chainId);
    }

    public function chainOfRide(Ride $ride): ?int
    {
        return $ride->bikeId === null ? null : $this->fittings()->componentOn($ride->bikeId, $ride->moment->unixS);
    }

    /** That no chain was on the bike for. */
    public function ridesWithoutChain(): Rides
    {
        return $this->histories()->ridesWithoutChain();
    }

    /** The bike whose rail a chain hangs on, or whose frame it is on. */
    public function bikeOfChain(int $chainId, int $atS): ?int
    {
        return $this->fittings()->bikeOf($chainId, $atS) ?? $this->settings->home($chainId, $atS);
    }

    /** @return list<Conflict> empty if everything in the logbook can have happened */
    public function conflicts(): array
    {
        $conflicts = $this->fittings()->conflicts;
        foreach ($this->chainIds as $chainId) {
            $history = $this->histories()->of($chainId);
            $retirement = array_values(array_filter($history->events, fn(Entry $event) => $event instanceof Retirement))[0] ?? null;
            if ($retirement === null) {
                continue;
            }
            // What goes on after it, and a second end, cannot be; what was on the bike by then came off.
            foreach ([...$history->events, ...$this->fitted()] as $entry) {
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
        return $this->histories ??= new Histories(array_diff_key($this->runs(), [0 => true]), $this->events->all(), $this->fittings());
    }
}
