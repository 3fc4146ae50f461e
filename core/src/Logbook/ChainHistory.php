<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Everything that happened to one chain, in the order of the logbook. */
final class ChainHistory
{
    /** @var array<class-string<Event>, Event>|null found once: each figure of a chain asks for the same few */
    private ?array $last = null;

    /** How many of its rides are in what it came with. */
    private ?int $before = null;

    /**
     * @param list<Event> $events in order
     */
    public function __construct(public readonly int $chainId, public readonly Rides $rides, public readonly array $events) {}

    /** The part of it that had happened by an instant, that instant included; what is known only by its day, once the day began. */
    public function until(int $atS): self
    {
        $past = fn(Entry $entry) => $entry->moment->unixS - ($entry->moment->precision === Precision::Day ? 86399 : 0) <= $atS;
        $begun = $this->rides->through($atS);
        $lastEvent = $this->events[count($this->events) - 1] ?? null;
        // Mostly all of it is past.
        if (count($begun) === count($this->rides) && ($lastEvent->moment->unixS ?? $atS) <= $atS) {
            return $this;
        }

        return new self(
            $this->chainId,
            $begun->and($this->rides->slice(count($begun))->where($past)),
            array_values(array_filter($this->events, $past)),
        );
    }

    /**
     * @template T of Event
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    public function last(string $class): ?Entry
    {
        if ($this->last === null) {
            $this->last = [];
            foreach ($this->events as $event) {
                $this->last[$event::class] = $event;
            }
        }

        /** @var T|null */
        return $this->last[$class] ?? null;
    }

    /** @return list<Entry> rides and events together: both are in order, so that the earlier one of two goes first */
    public function entries(): array
    {
        [$all, $rides, $next] = [[], $this->rides->all(), 0];
        foreach ($this->events as $event) {
            while (isset($rides[$next]) && Entry::compare($rides[$next], $event) < 0) {
                $all[] = $rides[$next++];
            }
            $all[] = $event;
        }

        return [...$all, ...array_slice($rides, $next)];
    }

    public function ridesAfter(Entry $entry): Rides
    {
        return $this->rides->after($entry);
    }

    /** @return list<TopUp> */
    public function topUpsAfter(Entry $entry): array
    {
        return array_values(array_filter($this->events, fn(Entry $e) => $e instanceof TopUp && Entry::compare($e, $entry) > 0));
    }

    /** All its km: those it came with and those ridden since. */
    public function km(): Distance
    {
        return $this->kmOf(count($this->rides));
    }

    /** Its km at an entry; not whole where nobody knows what it had run by then. */
    public function kmBefore(Entry $entry): Distance
    {
        $opening = $this->last(Opening::class);

        return $opening !== null && Entry::compare($entry, $opening) < 0
            ? new Distance(0.0, false)
            : $this->kmOf($this->rides->countUpTo($entry));
    }

    /** Its km after so many of its rides. */
    private function kmOf(int $rides): Distance
    {
        $opening = $this->last(Opening::class);
        $km = $this->rides->sum(RideSum::Km, $rides);
        if ($opening?->km === null) {
            return new Distance($km, $opening === null);
        }
        // Those before its opening are in what it came with.
        $this->before ??= $this->rides->countUpTo($opening);

        return new Distance($opening->km + max(0.0, $km - $this->rides->sum(RideSum::Km, $this->before)));
    }
}
