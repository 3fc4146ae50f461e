<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Everything that happened to one chain, in the order of the logbook. */
final readonly class ChainHistory
{
    /**
     * @param list<Ride> $rides
     * @param list<Strip|Dip|TopUp|Noise|Reading|Retirement> $events
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
        for ($i = count($this->rides); $i > 0 && Entry::compare($this->rides[$i - 1], $entry) > 0; $i--);

        return array_slice($this->rides, $i);
    }

    /** @return list<TopUp> */
    public function topUpsAfter(Entry $entry): array
    {
        return array_values(array_filter($this->events, fn(Entry $e) => $e instanceof TopUp && Entry::compare($e, $entry) > 0));
    }

    public function kmBefore(Entry $entry): float
    {
        $km = 0.0;
        foreach ($this->rides as $ride) {
            if (Entry::compare($ride, $entry) > 0) {
                break;
            }
            $km += $ride->km;
        }

        return $km;
    }
}
