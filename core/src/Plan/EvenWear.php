<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Wear\WearForecastResult;

/** Which chain of a bike to ride next so that all wear evenly: the least worn of those that can be ridden. Percent. */
final readonly class EvenWear
{
    /** Closer together than this is even: house rule, less than any instrument tells apart. */
    private const EVEN_PCT = 0.05;

    private function __construct(
        public ChainState $least,
        public ChainState $most,
        /** How much further the most worn is than the least worn. */
        public float $apartPct,
        /** The least worn of those that can be ridden as they are; the others want the pot, or their wax to set, first. */
        public ?ChainState $ready,
    ) {}

    /**
     * Null with fewer than two chains of which something is known.
     *
     * @param array<int, WearForecastResult> $forecasts by chain
     */
    public static function of(Rail $rail, array $forecasts): ?self
    {
        $chains = array_values(
            array_filter(
                $rail->chains(),
                fn(ChainState $chain) => isset($forecasts[$chain->chainId]) && !$chain->wear->pastLimit && $rail->serves($chain),
            ),
        );
        usort(
            $chains,
            fn(ChainState $a, ChainState $b) => $forecasts[$a->chainId]->nowMean <=> $forecasts[$b->chainId]->nowMean ?:
            $a->chainId <=> $b->chainId,
        );
        if (count($chains) < 2) {
            return null;
        }
        $ready = array_values(array_filter($chains, fn(ChainState $chain) => $chain->rideable() && $chain->readyAtS === null));
        $most = $chains[count($chains) - 1];

        return new self(
            $chains[0],
            $most,
            $forecasts[$most->chainId]->nowMean - $forecasts[$chains[0]->chainId]->nowMean,
            $ready[0] ?? null,
        );
    }

    public function even(): bool
    {
        return $this->apartPct < self::EVEN_PCT;
    }
}
