<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Wear\WearForecastResult;

/** How evenly the chains of a bike wear. Which goes on next is the plan's to say: of those with as much wax the least worn. Percent. */
final readonly class EvenWear
{
    /** Closer together than this is even: house rule, less than any instrument tells apart. */
    private const EVEN_PCT = 0.05;

    private function __construct(
        public ChainState $least,
        public ChainState $most,
        /** How much further the most worn is than the least worn. */
        public float $apartPct,
        /** Whether the least worn is on already. */
        public bool $on,
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
        $most = $chains[count($chains) - 1];

        return new self(
            $chains[0],
            $most,
            $forecasts[$most->chainId]->nowMean - $forecasts[$chains[0]->chainId]->nowMean,
            $chains[0] === $rail->fitted,
        );
    }

    public function even(): bool
    {
        return $this->apartPct < self::EVEN_PCT;
    }
}
