<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;

/**
 * The wear of all chains of a logbook at one instant: each expected to wear as the others of its bike did, where these are enough,
 * else as all of the rider's; none by its own example.
 */
final class WorkshopWear
{
    /** So many of the newest chains speak for the rider's ways: house rule. */
    private const NEWEST = 20;

    /** @var array<int, ChainRate>|null by chain */
    private ?array $rates = null;

    /** @var array<int, WearForecastInput|null> by the house rule, by chain */
    private array $inputs = [];

    /** @var array<int, ChainForecast|null> by chain */
    private array $forecasts = [];

    public function __construct(private readonly Book $book, private readonly int $nowS, private readonly Memo $memo = new NoMemo) {}

    /** Null where the km of the chain are not known. */
    public function of(ChainState|int $chain): ?ChainForecast
    {
        $chain = is_int($chain) ? $this->book->chain($chain, $this->nowS) : $chain;

        return array_key_exists($chain->chainId, $this->forecasts) ? $this->forecasts[$chain->chainId] : $this->forecasts[$chain->chainId] = $this->forecast($chain);
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
            $forecast === null || $results[$chain->chainId] = $forecast->result;
        }

        return $results;
    }

    /** Those that a chain is told by. */
    public function tellingOf(int $chainId): OwnChains
    {
        $bikeId = $this->book->settings->home($chainId, $this->nowS);
        $ofBike = $bikeId === null ? null : $this->own($chainId, $bikeId);

        return $ofBike?->count() === true ? $ofBike : $this->own($chainId);
    }

    /** The rider's own chains, one left out that is to be told by the others, or only those of one bike's rail. */
    public function own(?int $withoutChainId = null, ?int $bikeId = null): OwnChains
    {
        $this->rates ??= $this->rates();

        return OwnChains::of(array_values(array_filter(
            $this->rates,
            fn(int $id) => $id !== $withoutChainId && ($bikeId === null || $this->book->settings->home($id, $this->nowS) === $bikeId),
            ARRAY_FILTER_USE_KEY,
        )));
    }

    private function forecast(ChainState $chain): ?ChainForecast
    {
        $house = $this->house($chain);
        if ($house === null || $house->prior === null) {
            return null;
        }
        $input = $house->expecting($this->tellingOf($chain->chainId)->sharpen($house->prior));

        return new ChainForecast($input, ChainForecast::intervalKm($this->book, $chain), $this->memo->of('wear '.self::key($input), fn() => (new WearForecast)($input)));
    }

    private function house(ChainState|int $chain): ?WearForecastInput
    {
        $id = is_int($chain) ? $chain : $chain->chainId;

        return array_key_exists($id, $this->inputs) ? $this->inputs[$id] : $this->inputs[$id] = ChainForecast::input($this->book, is_int($chain) ? $this->book->chain($chain, $this->nowS) : $chain);
    }

    /** @return array<int, ChainRate> */
    private function rates(): array
    {
        $rates = [];
        foreach (array_slice($this->book->chainIds, -self::NEWEST) as $chainId) {
            $input = $this->house($chainId);
            if ($input !== null && $input->readings !== []) {
                // Its rate follows from its readings; where it is now makes no difference.
                $last = $input->readings[count($input->readings) - 1]->km;
                $rates[$chainId] = $this->memo->of('rate '.self::key(new WearForecastInput($input->limitPct, $input->readings, $input->prior, $last)), fn() => ChainRate::of($input));
            }
        }

        return $rates;
    }

    private static function key(WearForecastInput $input): string
    {
        return sha1(serialize($input));
    }
}
