<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;
use LogicException;

/**
 * The wear of all chains of a logbook at one instant: each expected to wear as the others of its bike did, where these are enough,
 * else as all of the rider's; none by its own example.
 */
final class WorkshopWear
{
    /** So many of the newest measured chains speak for the rider's ways: house rule. */
    private const NEWEST = 20;

    /** @var array<int, ChainRate> by chain */
    private array $rates = [];

    /** @var array<int, float> the interval that each is really waxed at, by chain */
    private array $intervals = [];

    /** @var array<int, ChainReadings|null> by the house rule, by chain */
    private array $house = [];

    /** @var array<int, ChainForecast|null> by chain */
    private array $forecasts = [];

    public function __construct(private readonly Book $book, private readonly int $nowS, private readonly Memo $memo = new NoMemo()) {}

    /** Null where the km of the chain are not known. */
    public function of(ChainState|int $chain): ?ChainForecast
    {
        $chain = is_int($chain) ? $this->book->chain($chain, $this->nowS) : $chain;

        return array_key_exists($chain->chainId, $this->forecasts)
            ? $this->forecasts[$chain->chainId]
            : ($this->forecasts[$chain->chainId] = $this->forecast($chain));
    }

    /** @return list<array{float, float, float, float}> what its chart draws, see ChainForecast::band; nothing where its km are not known */
    public function band(ChainState $chain): array
    {
        $forecast = $this->of($chain);

        return $forecast === null ? [] : $this->memo->of("band {$forecast->readings()->key()}", $forecast->band(...));
    }

    /**
     * @param list<ChainState> $chains
     *
     * @return array<int, WearForecastResult> by chain, those of which the km are known
     */
    public function results(array $chains): array
    {
        $results = [];
        foreach ($chains as $chain) {
            $forecast = $this->of($chain);
            $forecast === null || ($results[$chain->chainId] = $forecast->result);
        }

        return $results;
    }

    /** Those that a chain is told by. */
    public function tellingOf(int $chainId): OwnChains
    {
        $bikeId = $this->book->settings->home($chainId, $this->nowS);
        $ofBike = $bikeId === null ? null : $this->own($chainId, $bikeId);

        return $ofBike?->enough() === true ? $ofBike : $this->own($chainId);
    }

    /** The rider's own chains, one left out that is to be told by the others: the newest that were measured, or all of one bike's rail. */
    public function own(?int $withoutChainId = null, ?int $bikeId = null): OwnChains
    {
        $rates = [];
        foreach (array_reverse($this->book->chainIds) as $chainId) {
            if ($bikeId === null && count($rates) === self::NEWEST) {
                break;
            }
            if ($bikeId === null || $this->book->settings->home($chainId, $this->nowS) === $bikeId) {
                $rate = $this->rate($chainId);
                $rate->counts() && ($rates[$chainId] = $rate);
            }
        }
        unset($rates[$withoutChainId]);

        return OwnChains::of(array_values(array_reverse($rates)));
    }

    /** How the chains of a bike wear, those that were retired too: what every figure of the bike goes by. */
    public function ofBike(int $bikeId): BikeWear
    {
        $ofBike = array_values(
            array_filter($this->book->chainIds, fn(int $id) => $this->book->settings->home($id, $this->nowS) === $bikeId),
        );
        $measured = array_values(array_filter($ofBike, fn(int $id) => $this->rate($id)->counts()));
        $inUse = array_filter($ofBike, fn(int $id) => !$this->book->chain($id, $this->nowS)->retired());
        $forecasts = array_values(array_filter(array_map($this->of(...), $measured === [] ? $inUse : $measured)));

        return BikeWear::of(
            $forecasts,
            array_map($this->rate(...), $measured),
            $this->book->settings->lifeCurve(),
            $this->book->terms()->ofBike($bikeId, $this->nowS),
        );
    }

    /** The readings of a chain with all that is expected of it; null where its km are not known. */
    public function readings(ChainState $chain): ?ChainReadings
    {
        $house = $this->house($chain->chainId, $chain);

        return $house?->expecting($this->tellingOf($chain->chainId)->sharpen($house->prior));
    }

    private function forecast(ChainState $chain): ?ChainForecast
    {
        /** @var array{float, float, WearForecastResult}|null $told */
        $told = $this->book->kept("wear {$chain->chainId}", fn() => $this->told($chain), $this->nowS);

        return $told === null ? null : new ChainForecast(fn() => $this->readingsOf($chain), $told[0], $chain->km->km, $told[1], $told[2]);
    }

    /** @return array{float, float, WearForecastResult}|null the limit in %, the interval that it is really waxed at, and what follows */
    private function told(ChainState $chain): ?array
    {
        $readings = $this->readings($chain);

        return $readings === null
            ? null
            : [
                $readings->limitPct,
                $this->intervalKm($chain),
                $this->memo->of("wear {$readings->key()}", fn() => (new WearForecast())($readings->input())),
            ];
    }

    private function readingsOf(ChainState $chain): ChainReadings
    {
        return $this->readings($chain) ?? throw new LogicException('A chain whose km are not known has no forecast.');
    }

    /** What is expected of a chain by the house rule; null where its km are not known. */
    private function house(int $chainId, ?ChainState $chain = null): ?ChainReadings
    {
        if (!array_key_exists($chainId, $this->house)) {
            $chain ??= $this->book->chain($chainId, $this->nowS);
            $this->house[$chainId] = ChainForecast::readingsOf($this->book, $chain, $this->intervalKm($chain));
        }

        return $this->house[$chainId];
    }

    private function intervalKm(ChainState $chain): float
    {
        return $this->intervals[$chain->chainId] ??= ChainForecast::intervalKm($this->book, $chain);
    }

    /** What the readings of a chain say of its rate: nothing where they were all taken before its first wax. */
    private function rate(int $chainId): ChainRate
    {
        return $this->rates[$chainId] ??= $this->book->kept("rate {$chainId}", fn() => $this->findRate($chainId), $this->nowS);
    }

    private function findRate(int $chainId): ChainRate
    {
        $readings = $this->house($chainId)?->asLastRead();
        if (
            $readings === null ||
            $readings->readings === [] ||
            ChainForecast::firstWaxKm($this->book->history($chainId)->until($this->nowS)) === null
        ) {
            return new ChainRate(0.0, 0.0);
        }

        return $this->memo->of("rate {$readings->key()}", fn() => ChainRate::of($readings->input()));
    }
}
