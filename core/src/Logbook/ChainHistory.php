<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Everything that happened to one chain, in the order of the logbook. */
final readonly class ChainHistory
{
    /**
     * @param list<Ride> $rides
     * @param list<Event> $events
     */
    public function __construct(public int $chainId, public array $rides, public array $events) {}

    /** The part of it that had happened by an instant, that instant included; what is known only by its day, once the day began. */
    public function until(int $atS): self
    {
        $past = fn(Entry $entry) => $entry->moment->unixS - ($entry->moment->precision === Precision::Day ? 86399 : 0) <= $atS;
        $lastRide = $this->rides[count($this->rides) - 1] ?? null;

        return new self(
            $this->chainId,
            $lastRide === null || $past($lastRide) ? $this->rides : array_values(array_filter($this->rides, $past)),
            array_values(array_filter($this->events, $past)),
        );
    }

    /**
     * @template T of Entry
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    public function last(string $class): ?Entry
    {
        for ($i = count($this->events) - 1; $i >= 0; $i--) {
            if ($this->events[$i] instanceof $class) {
                return $this->events[$i];
            }
        }

        return null;
    }

    /** @return list<Ride> */
    public function ridesAfter(Entry $entry): array
    {
        return array_slice($this->rides, $this->ridesUpTo($entry));
    }

    /** How many rides come before an entry, or are it: they are in order, so that half of what is left goes with each question. */
    private function ridesUpTo(Entry $entry): int
    {
        [$from, $to] = [0, count($this->rides)];
        while ($from < $to) {
            $middle = intdiv($from + $to, 2);
            Entry::compare($this->rides[$middle], $entry) > 0 ? ($to = $middle) : ($from = $middle + 1);
        }

        return $from;
    }

    /** @return list<TopUp> */
    public function topUpsAfter(Entry $entry): array
    {
        return array_values(array_filter($this->events, fn(Entry $e) => $e instanceof TopUp && Entry::compare($e, $entry) > 0));
    }

    /** All its km: those it came with and those ridden since. */
    public function km(): Distance
    {
        $opening = $this->last(Opening::class);
        if ($opening === null) {
            return new Distance($this->sum($this->rides));
        }

        return $opening->km === null
            ? new Distance($this->sum($this->rides), false)
            : new Distance($opening->km + $this->sum($this->ridesAfter($opening)));
    }

    /** Its km at an entry; not whole where nobody knows what it had run by then. */
    public function kmBefore(Entry $entry): Distance
    {
        $opening = $this->last(Opening::class);
        if ($opening !== null && Entry::compare($entry, $opening) < 0) {
            return new Distance(0.0, false);
        }
        $rides = array_slice($this->rides, 0, $this->ridesUpTo($entry));

        return (new self($this->chainId, $rides, $opening === null ? [] : [$opening]))->km();
    }

    /** @param list<Ride> $rides */
    private function sum(array $rides): float
    {
        return array_sum(array_map(fn(Ride $ride) => $ride->km, $rides));
    }
}
