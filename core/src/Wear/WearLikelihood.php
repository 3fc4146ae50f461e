<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\Normal;

/**
 * The logarithm of how likely the readings of a chain are, for e0 in % and r in % per 1000 km, with its slopes. Exact readings
 * collapse to sums around the line through them; intervals are asked one by one, in logarithms, so that nothing is lost far out.
 */
final readonly class WearLikelihood
{
    /** An edge that is sharper makes no difference to what is believed, down to the digits that are asked for: %. */
    private const SHARPEST_PCT = 1e-7;

    /** @var list<array{float, float, float, float}> x (1000 km), lower, upper, 1/sigma of each interval */
    private array $intervals;

    /**
     * The exact readings around a line through them, by which nothing cancels: sums of their weights, times x, times x², and of what is
     * left over.
     */
    private float $one;

    private float $x;

    private float $xx;

    private float $left;

    private float $leftX;

    /** Where the last reading was taken, in 1000 km. */
    public float $lastX;

    /** The line itself: e0 and r. */
    private float $initial;

    private float $rate;

    /** @param list<ForecastReading> $readings */
    public function __construct(array $readings)
    {
        $exact = $intervals = [];
        foreach ($readings as $reading) {
            $reading->valuePct === null
                ? ($intervals[] = [$reading->km / 1000.0, $reading->lowerPct ?? -INF, $reading->upperPct ?? INF, 1.0 / $reading->sigmaPct])
                : ($exact[] = [$reading->km / 1000.0, $reading->valuePct, 1.0 / $reading->sigmaPct ** 2]);
        }
        $this->intervals = $intervals;
        $this->lastX = max([0.0, ...array_map(fn(ForecastReading $reading) => $reading->km / 1000.0, $readings)]);
        [$one, $sumX, $sumY] = [0.0, 0.0, 0.0];
        foreach ($exact as [$x, $y, $weight]) {
            [$one, $sumX, $sumY] = [$one + $weight, $sumX + $weight * $x, $sumY + $weight * $y];
        }
        [$meanX, $meanY] = $one > 0.0 ? [$sumX / $one, $sumY / $one] : [0.0, 0.0];
        [$spread, $slope] = [0.0, 0.0];
        foreach ($exact as [$x, $y, $weight]) {
            [$spread, $slope] = [$spread + $weight * ($x - $meanX) ** 2, $slope + $weight * ($x - $meanX) * ($y - $meanY)];
        }
        $this->rate = $spread > 0.0 ? $slope / $spread : 0.0;
        $this->initial = $meanY - $this->rate * $meanX;
        [$left, $leftX] = [0.0, 0.0];
        foreach ($exact as [$x, $y, $weight]) {
            $off = $weight * ($y - $this->initial - $this->rate * $x);
            [$left, $leftX] = [$left + $off, $leftX + $off * $x];
        }
        [$this->one, $this->x, $this->xx, $this->left, $this->leftX] = [
            $one,
            $one * $meanX,
            $spread + $one * $meanX * $meanX,
            $left,
            $leftX,
        ];
    }

    /** Up to a constant of the exact readings. */
    public function log(float $initial, float $rate): float
    {
        [$e, $r] = [$initial - $this->initial, $rate - $this->rate];
        $log = $this->left * $e + $this->leftX * $r - 0.5 * ($this->one * $e * $e + 2 * $this->x * $e * $r + $this->xx * $r * $r);
        foreach ($this->intervals as [$x, $lower, $upper, $sharp]) {
            $at = $initial + $rate * $x;
            $log += Normal::logBetween(($lower - $at) * $sharp, ($upper - $at) * $sharp);
        }

        return $log;
    }

    /**
     * What the exact readings and a normal prior of e0 make of e0 at a rate: a normal distribution again.
     *
     * @return array{float, float, float} ln of its top (up to the same constant), its middle, one over its variance
     */
    public function normal(float $rate, float $mean, float $sd): array
    {
        $r = $rate - $this->rate;
        [$mean, $precision] = [$mean - $this->initial, $this->one + 1.0 / $sd ** 2];
        $middle = ($this->left - $this->x * $r + $mean / $sd ** 2) / $precision;
        $log =
            $this->left * $middle +
            $this->leftX * $r -
            0.5 * ($this->one * $middle * $middle + 2 * $this->x * $middle * $r + $this->xx * $r * $r) -
            0.5 * (($middle - $mean) / $sd) ** 2;

        return [$log, $this->initial + $middle, $precision];
    }

    /** @return list<array{float, float, float}> between what bounds each interval has e0 at a rate, and one over its sharpness */
    public function between(float $rate): array
    {
        return array_map(
            fn(array $one) => [$one[1] - $rate * $one[0], $one[2] - $rate * $one[0], min($one[3], 1.0 / self::SHARPEST_PCT)],
            $this->intervals,
        );
    }

    /** @return array{float, float, float, float, float} d/de0, d/dr, d²/de0², d²/de0dr, d²/dr² */
    public function slopes(float $initial, float $rate): array
    {
        [$e, $r] = [$initial - $this->initial, $rate - $this->rate];
        [$d0, $d1] = [$this->left - $this->one * $e - $this->x * $r, $this->leftX - $this->x * $e - $this->xx * $r];
        [$d00, $d01, $d11] = [-$this->one, -$this->x, -$this->xx];
        foreach ($this->intervals as [$x, $lower, $upper, $sharp]) {
            $at = $initial + $rate * $x;
            [$slope, $curve] = Normal::slopeBetween(($lower - $at) * $sharp, ($upper - $at) * $sharp);
            [$slope, $curve] = [$slope * $sharp, $curve * $sharp * $sharp];
            $d0 += $slope;
            $d1 += $slope * $x;
            $d00 += $curve;
            $d01 += $curve * $x;
            $d11 += $curve * $x * $x;
        }

        return [$d0, $d1, $d00, $d01, $d11];
    }
}
