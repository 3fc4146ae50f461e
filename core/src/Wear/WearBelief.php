<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What is believed of e(x) = e0 + r·x: of the rate r in % per 1000 km, of e0 in %, of e at any x (1000 km). */
interface WearBelief
{
    public function rateMean(): float;

    public function rateQuantile(float $p): float;

    public function initialMean(): float;

    public function mean(float $x): float;

    public function quantile(float $x, float $p): float;

    /** How likely the elongation at x is at a limit or past it. */
    public function past(float $x, float $limitPct): float;

    /** The first x, not before one and not after another, at which that likelihood reaches q; null if it does not. */
    public function firstPast(float $fromX, float $toX, float $limitPct, float $q): ?float;
}
