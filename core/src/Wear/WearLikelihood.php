<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\Normal;

/**
 * The logarithm of how likely the readings of a chain are, for e0 in % and r in % per 1000 km, with its slopes. Exact readings
 * collapse to sums; intervals are asked one by one, in logarithms, so that nothing is lost far out.
 */
final readonly class WearLikelihood
{
    /** @var list<array{float, float, float, float}> x (1000 km), lower, upper, 1/sigma of each interval */
    public array $intervals;

    private float $one;

    private float $x;

    private float $xx;

    private float $y;

    private float $xy;

    private float $yy;

    /** @param list<ForecastReading> $readings */
    public function __construct(array $readings)
    {
        $sums = array_fill(0, 6, 0.0);
        $intervals = [];
        foreach ($readings as $reading) {
            $x = $reading->km / 1000.0;
            if ($reading->valuePct === null) {
                $intervals[] = [$x, $reading->lowerPct ?? -INF, $reading->upperPct ?? INF, 1.0 / $reading->sigmaPct];
                continue;
            }
            $weight = 1.0 / $reading->sigmaPct ** 2;
            foreach ([1.0, $x, $x * $x, $reading->valuePct, $x * $reading->valuePct, $reading->valuePct ** 2] as $i => $term) {
                $sums[$i] += $weight * $term;
            }
        }
        [$this->one, $this->x, $this->xx, $this->y, $this->xy, $this->yy] = $sums;
        $this->intervals = $intervals;
    }

    /** Up to a constant of the exact readings. */
    public function log(float $initial, float $rate): float
    {
        $log = -0.5 * ($this->one * $initial * $initial + 2 * $initial * ($this->x * $rate - $this->y) + $this->xx * $rate * $rate - 2 * $this->xy * $rate + $this->yy);
        foreach ($this->intervals as [$x, $lower, $upper, $sharp]) {
            $e = $initial + $rate * $x;
            $log += Normal::logBetween(($lower - $e) * $sharp, ($upper - $e) * $sharp);
        }

        return $log;
    }

    /** @return array{float, float, float, float, float} d/de0, d/dr, d²/de0², d²/de0dr, d²/dr² */
    public function slopes(float $initial, float $rate): array
    {
        [$d0, $d1] = [$this->y - $this->one * $initial - $this->x * $rate, $this->xy - $this->x * $initial - $this->xx * $rate];
        [$d00, $d01, $d11] = [-$this->one, -$this->x, -$this->xx];
        foreach ($this->intervals as [$x, $lower, $upper, $sharp]) {
            $e = $initial + $rate * $x;
            [$a, $b] = [($lower - $e) * $sharp, ($upper - $e) * $sharp];
            $log = Normal::logBetween($a, $b);
            // The densities at the edges as parts of what lies between.
            $at = fn(float $z): float => is_infinite($z) ? 0.0 : exp(-0.5 * $z * $z - 0.91893853320467274178 - $log);
            [$fa, $fb] = [$at($a), $at($b)];
            $slope = ($fa - $fb) * $sharp;
            $curve = ((is_infinite($a) ? 0.0 : $a * $fa) - (is_infinite($b) ? 0.0 : $b * $fb)) * $sharp * $sharp - $slope * $slope;
            $d0 += $slope;
            $d1 += $slope * $x;
            $d00 += $curve;
            $d01 += $curve * $x;
            $d11 += $curve * $x * $x;
        }

        return [$d0, $d1, $d00, $d01, $d11];
    }
}
