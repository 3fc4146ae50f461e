<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * Sums of a smooth function on a lattice 0, ±1, ±2 … that dies out on both sides, up to any place between its points: each point
 * stands for sin πt / πt around it, whose integral is Si. As accurate as the trapezoidal rule over all of it.
 * Source: J. McNamee, F. Stenger & E. L. Whitney, Whittaker's cardinal function in retrospect, Math. Comp. 25 (1971) (memory).
 */
final class CardinalSeries
{
    /**
     * How much of it lies before a cut.
     *
     * @param array<int, float> $values by lattice point
     */
    public static function before(array $values, float $cut): float
    {
        // sin and cos of π(cut − k) are those of π·cut but for their sign.
        [$sin, $cos] = [sin(M_PI * $cut), cos(M_PI * $cut)];
        $sum = 0.0;
        foreach ($values as $k => $value) {
            $x = M_PI * ($cut - $k);
            $sign = ($k & 1) === 0 ? 1.0 : -1.0;
            $sum += $value * (0.5 + SineIntegral::of($x, $sign * $sin, $sign * $cos) / M_PI);
        }

        return $sum;
    }
}
