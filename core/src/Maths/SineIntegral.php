<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * Si(x), the integral of sin t / t from 0 to x, within 1e-6: its series below 1, above it the rational approximations of
 * M. Abramowitz & I. Stegun, Handbook of Mathematical Functions, 5.2.38 and 5.2.39 (coefficients from memory), checked against
 * published values.
 */
final class SineIntegral
{
    public static function at(float $x): float
    {
        $y = abs($x);
        $square = $y * $y;
        if ($y < 1.0) {
            return $x * (1.0 + $square * (-1.0 / 18.0 + $square * (1.0 / 600.0 + $square * (-1.0 / 35280.0 + $square / 3265920.0))));
        }
        $f = ($square ** 4 + 38.027264 * $square ** 3 + 265.187033 * $square ** 2 + 335.677320 * $square + 38.102495)
            / ($square ** 4 + 40.021433 * $square ** 3 + 322.624911 * $square ** 2 + 570.236280 * $square + 157.105423) / $y;
        $g = ($square ** 4 + 42.242855 * $square ** 3 + 302.757865 * $square ** 2 + 352.018498 * $square + 21.821899)
            / ($square ** 4 + 48.196927 * $square ** 3 + 482.485984 * $square ** 2 + 1114.978885 * $square + 449.690326) / $square;
        $si = M_PI_2 - $f * cos($y) - $g * sin($y);

        return $x < 0.0 ? -$si : $si;
    }
}
