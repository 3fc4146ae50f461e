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
        return self::of($x, sin($x), cos($x));
    }

    /** The same for one whose sine and cosine are known. */
    public static function of(float $x, float $sin, float $cos): float
    {
        $s = $x * $x;
        if ($s < 1.0) {
            return $x * (1.0 + $s * (-1.0 / 18.0 + $s * (1.0 / 600.0 + $s * (-1.0 / 35280.0 + $s / 3265920.0))));
        }
        $f = ((($s + 38.027264) * $s + 265.187033) * $s + 335.677320) * $s + 38.102495;
        $f /= ((($s + 40.021433) * $s + 322.624911) * $s + 570.236280) * $s + 157.105423;
        $g = ((($s + 42.242855) * $s + 302.757865) * $s + 352.018498) * $s + 21.821899;
        $g /= ((($s + 48.196927) * $s + 482.485984) * $s + 1114.978885) * $s + 449.690326;

        return ($x > 0.0 ? M_PI_2 : -M_PI_2) - $f * $cos / $x - $g * $sin / $s;
    }
}
