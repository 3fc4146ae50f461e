<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\Normal;

/** Where a reading will most likely lie: its noise is added to what is not known of the chain. %. */
final readonly class ReadingBand
{
    private function __construct(public float $lowPct, public float $meanPct, public float $highPct) {}

    /**
     * @param ForecastReading $reading at its km, with its noise; what it says is not looked at
     * @param float $p how likely it is not above the band; not below it is as likely
     */
    public static function of(WearBelief $belief, ForecastReading $reading, float $p): self
    {
        $x = $reading->km / 1000.0;
        $middle = $belief->quantile($x, 0.5);
        $wide = fn(float $p): float => hypot($belief->quantile($x, $p) - $middle, Normal::quantile($p) * $reading->sigmaPct);

        return new self($middle - $wide(1.0 - $p), $belief->mean($x), $middle + $wide($p));
    }

    /** Whether a reading lies in it, or may: of one that is an interval some of it. */
    public function holds(ForecastReading $reading): bool
    {
        return $this->outsidePct($reading) <= 0.0;
    }

    /** How far a reading lies outside. */
    public function outsidePct(ForecastReading $reading): float
    {
        $lower = $reading->valuePct ?? ($reading->lowerPct ?? -INF);
        $upper = $reading->valuePct ?? ($reading->upperPct ?? INF);

        return max(0.0, $this->lowPct - $upper, $lower - $this->highPct);
    }
}
