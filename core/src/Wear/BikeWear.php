<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Logbook\Terms;

/**
 * How the chains of one bike wear: by the forecasts that its chains are shown with, so that advice, cheapest interval and years to
 * come say the same. Intervals in effective km.
 */
final readonly class BikeWear
{
    /** A rate is never nothing: no chain lives for ever. */
    private const LEAST_FACTOR = 1e-3;

    /**
     * @param int $chains that were measured on wax
     * @param bool $enough whether they are enough to advise by: two of them, or one that stands alone
     */
    private function __construct(
        public int $chains,
        public bool $enough,
        public float $logFactor,
        public float $intervalKm,
        public float $limitPct,
        private LifeCurve $curve,
    ) {}

    /**
     * @param list<ChainForecast> $forecasts of the chains that were measured; where none was, of those in use
     * @param list<ChainRate> $measured
     */
    public static function of(array $forecasts, array $measured, LifeCurve $curve, Terms $terms): self
    {
        $mean = fn(callable $log, float $without): float => $forecasts === []
            ? $without
            : array_sum(array_map($log, $forecasts)) / count($forecasts);

        return new self(
            count($measured),
            count($measured) >= OwnChains::FEWEST || array_filter($measured, fn(ChainRate $rate) => $rate->standsAlone()) !== [],
            $mean(fn(ChainForecast $one) => log(max(self::LEAST_FACTOR, $one->factor($curve))), 0.0),
            exp($mean(fn(ChainForecast $one) => log($one->intervalKm), log($terms->intervalKm))),
            $terms->limitPct,
            $curve,
        );
    }

    /** How many times as fast as the life points expect its chains wear. */
    public function factor(): float
    {
        return exp($this->logFactor);
    }

    /** In % per 1000 km, at the interval at which they were waxed. */
    public function ratePctPer1000Km(): float
    {
        return ($this->factor() * 1000.0 * $this->limitPct) / $this->curve->lifeKm($this->intervalKm);
    }
}
