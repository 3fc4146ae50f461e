<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\LearnedByEar;
use LogicException;

/** The logbook of a workshop: what happened, and what follows from it. Nothing here is ever stored. */
final class Book
{
    public readonly Fittings $fittings;

    /** @var array<int, list<Ride>> by bike, in order */
    private array $ridesByBike = [];

    /** @var array<int, ChainHistory>|null by chain */
    private ?array $histories = null;

    /** @var array<string, float|null> by bike and instant: every chain of a bike asks */
    private array $learned = [];

    /** @var array<string, Fittings> by slot */
    private array $fittingsBySlot = [];

    /** @var array<int, int> when each part went out of use */
    private readonly array $retiredS;

    /** @var list<Ride> found while distributing */
    private array $ridesWithoutChain = [];

    /** @var list<Ride> in order, those that were filled in among them */
    public readonly array $rides;

    /** @var list<Ride> that nobody gave a bike yet, in order */
    public readonly array $ridesWithoutBike;

    /**
     * @param list<int> $bikeIds in the order in which they are shown
     * @param list<int> $chainIds likewise
     * @param list<Fitting> $fittingEntries
     * @param list<Ride> $logged
     * @param list<Event> $events
     * @param list<Part> $parts
     */
    public function __construct(
        public readonly array $bikeIds,
        public readonly array $chainIds,
        public readonly Settings $settings,
        private readonly array $fittingEntries,
        private readonly array $logged,
        private readonly array $events,
        public readonly ?FillIn $fillIn = null,
        public readonly array $parts = [],
    ) {
        $retiredS = [];
        foreach ($events as $event) {
            $event instanceof Retirement && $retiredS[$event->chainId] = min($retiredS[$event->chainId] ?? PHP_INT_MAX, $event->moment->unixS);
        }
        $this->retiredS = $retiredS;
        $this->fittings = $this->fittingsOf(Slot::Chain);
        $this->rides = self::sorted([...$logged, ...($fillIn?->rides($logged) ?? [])]);
        $open = [];
        foreach ($this->rides as $ride) {
            if ($ride->bikeId === null) {
                $open[] = $ride;
            } else {
                $this->ridesByBike[$ride->bikeId][] = $ride;
            }
        }
        $this->ridesWithoutBike = $open;
    }

    /** What was in one slot of which bike, and when. */
    public function fittingsOf(Slot $slot): Fittings
    {
        return $this->fittingsBySlot[$slot->value] ??= new Fittings(array_values(array_filter($this->fittingEntries, fn(Fitting $fitting) => $fitting->slot === $slot)), $this->retiredS);
    }

    /** The quick link that closes a chain: of several the one that came last. */
    public function linkOf(int $chainId, int $nowS): ?PartState
    {
        $links = $this->linksOf($chainId);

        return $links === [] ? null : PartState::derive($links[count($links) - 1], $this, $this->history($links[count($links) - 1]->id), $nowS);
    }

    /** @return list<Part> the quick links of a chain in the order in which they were opened; a spare may be older than the one before it */
    public function linksOf(int $chainId): array
    {
        $links = array_values(array_filter($this->parts, fn(Part $part) => $part->kind === PartKind::QuickLink && $part->chainId === $chainId));
        $openedS = fn(Part $link): int => $this->history($link->id)->last(Opening::class)->moment->unixS ?? PHP_INT_MIN;
        usort($links, fn(Part $a, Part $b) => $openedS($a) <=> $openedS($b) ?: $a->id <=> $b->id);

        return $links;
    }

    /** @return list<Part> the quick links that lie in a drawer, not opened yet */
    public function spareLinks(): array
    {
        return array_values(array_filter($this->parts, fn(Part $part) => $part->kind === PartKind::QuickLink && $part->chainId === null));
    }

    public function partOn(Slot $slot, int $bikeId, int $atS): ?Part
    {
        $partId = $this->fittingsOf($slot)->componentOn($bikeId, $atS);

        return array_column($this->parts, null, 'id')[$partId ?? 0] ?? null;
    }

    /**
     * The rides of a cassette, chainring or pair of jockey wheels. What is ridden indoors wears the cassette of the trainer, where
     * the bike has one, and spares the one on its wheel.
     *
     * @return list<Ride> in order, up to an instant
     */
    public function ridesOn(Part $part, int $untilS): array
    {
        $slot = $part->slot();
        if ($slot === null) {
            return [];
        }
        $trainer = $this->fittingsOf(Slot::Trainer);
        $wears = fn(Ride $ride): bool => match ($slot) {
            Slot::Trainer => $ride->condition === Condition::Indoor,
            Slot::Cassette => $ride->condition !== Condition::Indoor || $trainer->componentOn((int) $ride->bikeId, $ride->moment->unixS) === null,
            default => true,
        };
        $rides = [];
        foreach ($this->fittingsOf($slot)->spansOf($part->id) as $span) {
            foreach ($this->ridesOf($span->bikeId) as $ride) {
                if ($span->holdsAt($ride->moment->unixS) && $ride->moment->unixS <= $untilS && $wears($ride)) {
                    $rides[] = $ride;
                }
            }
        }

        return $rides;
    }

    /** How an estimate would be spread, as the logbook stands. */
    public function shareOf(Estimate $estimate): EstimateShare
    {
        $fillIn = $this->fillIn ?? throw new LogicException('A logbook without days to fill in.');

        return $fillIn->shareOf($estimate, $this->logged);
    }

    /** @return list<TopUp> of all chains, in order */
    public function topUps(): array
    {
        return self::sorted(array_values(array_filter($this->events, fn(Entry $event) => $event instanceof TopUp)));
    }

    /** @return list<Dip> of all chains, in order */
    public function dips(): array
    {
        return self::sorted(array_values(array_filter($this->events, fn(Entry $event) => $event instanceof Dip)));
    }

    /** What was ridden since the drivetrain of a bike was brushed; null: nobody said that it ever was. */
    public function brushed(int $bikeId, int $nowS): ?Brushed
    {
        $brushings = array_values(array_filter(
            $this->events,
            fn(Entry $event) => $event instanceof Brushing && $event->bikeId === $bikeId && $event->moment->unixS <= $nowS,
        ));
        $last = array_last(self::sorted($brushings));

        return $last === null ? null : new Brushed($last, array_sum(array_map(
            fn(Ride $ride) => Entry::compare($ride, $last) > 0 && $ride->moment->unixS <= $nowS ? $ride->km : 0.0,
            $this->ridesOf($bikeId),
        )));
    }

    public function lastOdometer(int $bikeId): ?Estimate
    {
        return $this->fillIn?->lastOdometer($bikeId);
    }

    public function part(int $partId, int $nowS): PartState
    {
        foreach ($this->parts as $part) {
            if ($part->id === $partId) {
                return PartState::derive($part, $this, $this->history($partId), $nowS);
            }
        }
        throw new LogicException("There is no part {$partId}.");
    }

    /** The same logbook with one more ride, as if it had been logged. */
    public function withRide(Ride $ride): self
    {
        return new self($this->bikeIds, $this->chainIds, $this->settings, $this->fittingEntries, [...$this->logged, $ride], $this->events, $this->fillIn, $this->parts);
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
        return new self($this->bikeIds, $this->chainIds, $this->settings, [...$this->fittingEntries, ...$fittings], [...$this->logged, ...$rides], [...$this->events, ...$events], $this->fillIn, $this->parts);
    }

    public function chain(int $chainId, int $nowS): ChainState
    {
        return ChainState::derive($this->history($chainId), $this->termsOf($chainId, $nowS), $this->settings, $nowS);
    }

    public function history(int $chainId): ChainHistory
    {
        $this->histories ??= $this->distribute();

        return $this->histories[$chainId] ?? new ChainHistory($chainId, [], []);
    }

    public function chainOfRide(Ride $ride): ?int
    {
        return $ride->bikeId === null ? null : $this->fittings->componentOn($ride->bikeId, $ride->moment->unixS);
    }

    /** @return list<Ride> of one bike, in order */
    public function ridesOf(int $bikeId): array
    {
        return $this->ridesByBike[$bikeId] ?? [];
    }

    /** @return list<Ride> that no chain was on the bike for */
    public function ridesWithoutChain(): array
    {
        $this->histories ??= $this->distribute();

        return $this->ridesWithoutChain;
    }

    /** The bike whose rail a chain hangs on, or whose frame it is on. */
    public function bikeOfChain(int $chainId, int $atS): ?int
    {
        return $this->fittings->bikeOf($chainId, $atS) ?? $this->settings->home($chainId, $atS);
    }

    /** What the bike of a chain asks of it; without a bike, the defaults. */
    public function termsOf(int $chainId, int $atS): Terms
    {
        $terms = $this->termsOfBike($this->bikeOfChain($chainId, $atS) ?? 0, $atS);
        $dripKm = $this->settings->at(SettingKey::ChainDripKm, $chainId, $atS);

        return $dripKm === null ? $terms : new Terms((float) $dripKm, null, $terms->limitPct, false, true);
    }

    public function termsOfBike(int $bikeId, int $atS): Terms
    {
        $learnedKm = $this->learnedKm($bikeId, $atS);

        return new Terms(
            $learnedKm ?? $this->settings->intervalKm($bikeId, $atS),
            $this->settings->intervalHours($bikeId, $atS),
            $this->settings->limitSchool($bikeId, $atS)->limitPct($this->settings->whole(SettingKey::BikeSpeeds, $bikeId, 1)),
            $learnedKm !== null,
            $this->settings->dripOnly($bikeId, $atS),
        );
    }

    /** Of a bike that goes by ear: when its chains get loud; null before the first noise, and for any other. */
    private function learnedKm(int $bikeId, int $atS): ?float
    {
        if (! $this->settings->byEar($bikeId, $atS)) {
            return null;
        }
        $key = "{$bikeId} {$atS}";
        if (! array_key_exists($key, $this->learned)) {
            $this->learned[$key] = LearnedByEar::of($this, $bikeId, $atS)?->result->intervalKm;
        }

        return $this->learned[$key];
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
                $concerned = $entry instanceof Fitting ? $entry->componentId === $chainId : ! $entry instanceof Noise && $entry !== $retirement;
                if ($concerned && Entry::compare($entry, $retirement) > 0) {
                    $conflicts[] = new Conflict(ConflictKind::AfterRetirement, $chainId, $entry, $retirement);
                }
            }
        }

        return $conflicts;
    }

    /** @return array<int, ChainHistory> */
    private function distribute(): array
    {
        [$rides, $events] = [[], []];
        foreach ($this->ridesByBike as $bikeId => $bikeRides) {
            $span = null;
            foreach ($bikeRides as $ride) {
                // Rides come in order, so the span of the ride before nearly always still holds.
                if ($span === null || ! $span->holdsAt($ride->moment->unixS)) {
                    $span = $this->fittings->spanAt($bikeId, $ride->moment->unixS);
                }
                if ($span !== null) {
                    $rides[$span->componentId][] = $ride;
                } else {
                    $this->ridesWithoutChain[] = $ride;
                }
            }
        }
        foreach (self::sorted($this->events) as $event) {
            $chainId = $event->component($this->fittings);
            if ($chainId !== null) {
                $events[$chainId][] = $event;
            }
        }
        $this->ridesWithoutChain = self::sorted($this->ridesWithoutChain);
        $histories = [];
        foreach ([...array_keys($rides), ...array_keys($events)] as $chainId) {
            $histories[$chainId] ??= new ChainHistory($chainId, self::sorted($rides[$chainId] ?? []), $events[$chainId] ?? []);
        }

        return $histories;
    }

    /**
     * @template T of Entry
     *
     * @param list<T> $entries
     *
     * @return list<T>
     */
    private static function sorted(array $entries): array
    {
        // Rows mostly arrive in order; finding that out is far cheaper than sorting them again.
        $before = null;
        foreach ($entries as $entry) {
            if ($before !== null && $before->moment->unixS >= $entry->moment->unixS
                && ($before->moment->unixS > $entry->moment->unixS || Entry::compare($before, $entry) > 0)) {
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
