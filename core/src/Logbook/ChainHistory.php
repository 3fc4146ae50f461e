<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Everything that happened to one chain, in the order of the logbook. */
final class ChainHistory
{
    /** @var array<class-string<Entry>, Entry|null> found once: each figure of a chain asks for the same few */
    private array $last = [];

    /** @var list<float>|null km by how many of the rides are counted */
    private ?array $sums = null;

    /** @var list<float>|null the same, of those after its opening only */
    private ?array $sumsSinceOpening = null;

    /**
     * @param list<Ride> $rides
     * @param list<Event> $events
     */
    public function __construct(public readonly int $chainId, public readonly array $rides, public readonly array $events) {}

    /** The part of it that had happened by an instant, that instant included; what is known only by its day, once the day began. */
    public function until(int $atS): self
    {
        $past = fn(Entry $entry) => $entry->moment->unixS - ($entry->moment->precision === Precision::Day ? 86399 : 0) <= $atS;
        $lastRide = $this->rides[count($this->rides) - 1] ?? null;
        $lastEvent = $this->events[count($this->events) - 1] ?? null;
        // Mostly all of it is past.
        if (($lastRide->moment->unixS ?? $atS) <= $atS && ($lastEvent->moment->unixS ?? $atS) <= $atS) {
            return $this;
        }

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
        if (!array_key_exists($class, $this->last)) {
            $this->last[$class] = null;
            for ($i = count($this->events) - 1; $i >= 0 && $this->last[$class] === null; $i--) {
                $this->events[$i] instanceof $class && ($this->last[$class] = $this->events[$i]);
            }
        }

        /** @var T|null */
        return $this->last[$class];
    }

    /** @return list<Entry> rides and events together: both are in order, so that the earlier one of two goes first */
    public function entries(): array
    {
        [$all, $next] = [[], 0];
        foreach ($this->events as $event) {
            while (isset($this->rides[$next]) && Entry::compare($this->rides[$next], $event) < 0) {
                $all[] = $this->rides[$next++];
            }
            $all[] = $event;
        }

        return [...$all, ...array_slice($this->rides, $next)];
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
        return $this->kmOf(count($this->rides));
    }

    /** Its km at an entry; not whole where nobody knows what it had run by then. */
    public function kmBefore(Entry $entry): Distance
    {
        $opening = $this->last(Opening::class);

        return $opening !== null && Entry::compare($entry, $opening) < 0 ? new Distance(0.0, false) : $this->kmOf($this->ridesUpTo($entry));
    }

    /** Its km after so many of its rides. */
    private function kmOf(int $rides): Distance
    {
        $opening = $this->last(Opening::class);
        if ($opening?->km === null) {
            $this->sums ??= self::sums($this->rides, 0);

            return new Distance($this->sums[$rides], $opening === null);
        }
        $this->sumsSinceOpening ??= self::sums($this->rides, $this->ridesUpTo($opening));

        return new Distance($opening->km + $this->sumsSinceOpening[$rides]);
    }

    /**
     * @param list<Ride> $rides
     *
     * @return list<float> the km of none of them, of the first, of the first two and so on; those before `$from` count nothing
     */
    private static function sums(array $rides, int $from): array
    {
        [$sums, $km] = [[0.0], 0.0];
        foreach ($rides as $i => $ride) {
            $sums[] = $km += $i < $from ? 0.0 : $ride->km;
        }

        return $sums;
    }
}
