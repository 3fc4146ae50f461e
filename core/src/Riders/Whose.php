<?php

declare(strict_types=1);

namespace Dripel\Core\Riders;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Plan\Rail;

/** Whose bikes somebody looks at: one rider's and everybody's, or all. What is of no bike (a pot, a jar, a shop) is always shown. */
final readonly class Whose
{
    private function __construct(private ?Riders $riders, public ?string $rider) {}

    public static function all(): self
    {
        return new self(null, null);
    }

    /** What concerns a rider; where nobody of that name rides, all of it. */
    public static function rider(Riders $riders, string $name): self
    {
        $rider = $riders->named($name);

        return $rider === null ? self::all() : new self($riders, $rider);
    }

    public function bike(?int $bikeId): bool
    {
        return $this->riders === null || in_array($this->riders->ofBike($bikeId), [null, $this->rider], true);
    }

    public function chain(int $chainId, int $atS): bool
    {
        return $this->riders === null || in_array($this->riders->ofChain($chainId, $atS), [null, $this->rider], true);
    }

    /** By its bike; else by its chains, where one of them is enough. */
    public function item(NextItem $item): bool
    {
        return match (true) {
            $item->bikeId !== null => $this->bike($item->bikeId),
            $item->chains !== [] => array_filter($item->chains, fn(ChainState $chain) => $this->chain($chain->chainId, $chain->nowS)) !==
                [],
            default => true,
        };
    }

    /**
     * @param list<int> $bikeIds
     *
     * @return list<int>
     */
    public function bikes(array $bikeIds): array
    {
        return array_values(array_filter($bikeIds, $this->bike(...)));
    }

    /** Those on its bikes, and those of no bike yet. */
    public function rides(Rides $rides): Rides
    {
        return $this->riders === null ? $rides : $rides->where(fn(Ride $ride) => $this->bike($ride->bikeId));
    }

    /**
     * @param list<Rail> $rails
     *
     * @return list<Rail>
     */
    public function rails(array $rails): array
    {
        return array_values(array_filter($rails, fn(Rail $rail) => $this->bike($rail->bikeId)));
    }
}
