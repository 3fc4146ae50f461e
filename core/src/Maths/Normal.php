<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * The normal distribution, also far out in its tails, where only logarithms are left.
 * Source: W. J. Cody, Rational Chebyshev approximations for the error function, Math. Comp. 23 (1969) (coefficients from
 * memory); checked against published values and R to 1e-12.
 */
final class Normal
{
    private const SMALL = 0.46875;

    private const LARGE = 4.0;

    /** From there on so many fractions are as good as all: 1e-12. */
    private const FAR = 10.0;

    private const FRACTIONS = 20;

    /** Of edges that are so near each other the density between them is the same. */
    private const LEVEL = 1e-9;

    private const INVERSE_ROOT_PI = 0.56418958354775628695;

    private const A = [3.1611237438705656, 1.13864154151050156e2, 3.77485237685302021e2, 3.20937758913846947e3, 1.85777706184603153e-1];

    private const B = [2.36012909523441209e1, 2.44024637934444173e2, 1.28261652607737228e3, 2.84423683343917062e3];

    private const C = [
        5.64188496988670089e-1,
        8.88314979438837594,
        6.61191906371416295e1,
        2.98635138197400131e2,
        8.8195222124176909e2,
        1.71204761263407058e3,
        2.05107837782607147e3,
        1.23033935479799725e3,
        2.15311535474403846e-8,
    ];

    private const D = [
        1.57449261107098347e1,
        1.17693950891312499e2,
        5.37181101862009858e2,
        1.62138957456669019e3,
        3.29079923573345963e3,
        4.36261909014324716e3,
        3.43936767414372164e3,
        1.23033935480374942e3,
    ];

    private const P = [
        3.05326634961232344e-1,
        3.60344899949804439e-1,
        1.25781726111229246e-1,
        1.60837851487422766e-2,
        6.58749161529837803e-4,
        1.63153871373020978e-2,
    ];

    private const Q = [2.56852019228982242, 1.87295284992346725, 5.27905102951428412e-1, 6.05183413124413191e-2, 2.33520497626869185e-3];

    /** The complementary error function: 1 − erf(x). */
    public static function erfc(float $x): float
    {
        $y = abs($x);
        if ($y <= self::SMALL) {
            return 1.0 - self::erfSmall($x);
        }
        $tail = exp(-$y * $y) * self::scaled($y);

        return $x < 0.0 ? 2.0 - $tail : $tail;
    }

    /** How much lies below z standard deviations. */
    public static function cdf(float $z): float
    {
        return 0.5 * self::erfc(-$z * M_SQRT1_2);
    }

    /** ln of the same, good where the probability itself is 0. */
    public static function logCdf(float $z): float
    {
        $y = -$z * M_SQRT1_2;

        return $y <= self::SMALL ? log(0.5 * self::erfc($y)) : -$y * $y + log(0.5 * self::scaled($y));
    }

    /** ln of how much lies between two of them, either of which may be infinite; −∞ where they are the same. */
    public static function logBetween(float $from, float $to): float
    {
        // Taken in the left tail, where nothing cancels.
        if ($from + $to > 0.0) {
            [$from, $to] = [-$to, -$from];
        }
        $log = $to === INF ? 0.0 : self::logCdf($to);

        return $from === -INF ? $log : ($from < $to ? $log + log1p(-exp(self::logCdf($from) - $log)) : -INF);
    }

    /**
     * How ln of the same changes as both move down together, and how that changes (from −1 to 0): what a reading pulls at where it stands.
     *
     * @return array{float, float}
     */
    public static function slopeBetween(float $from, float $to): array
    {
        if ($from + $to > 0.0) {
            [$slope, $bend] = self::slopeBetween(-$to, -$from);

            return [-$slope, $bend];
        }
        if ($to < -self::FAR) {
            return self::slopeFarOut(-$to, -$from);
        }
        $log = self::logBetween($from, $to);
        // The densities at the edges as parts of what lies between.
        $at = fn(float $z): float => is_infinite($z) ? 0.0 : exp(-0.5 * $z * $z - 0.91893853320467274178 - $log);
        [$lower, $upper] = [$at($from), $at($to)];
        $slope = $lower - $upper;

        return [$slope, ($lower === 0.0 ? 0.0 : $from * $lower) - ($upper === 0.0 ? 0.0 : $to * $upper) - $slope * $slope];
    }

    /**
     * The same between two values below the middle, told by how far: logarithms of so little are too large for anything to be left of their
     * difference.
     *
     * @return array{float, float}
     */
    private static function slopeFarOut(float $near, float $far): array
    {
        if (($far - $near) * $near < self::LEVEL) {
            return [-0.5 * ($near + $far), -1.0];
        }
        $beyond = self::beyond($near);
        $density = $near + $beyond;
        // The density at the far edge, in parts of that at the near one.
        $part = exp(-0.5 * ($far - $near) * ($far + $near));
        if ($part === 0.0) {
            return [-$density, -$density * $beyond];
        }
        $density /= 1.0 - ($part * $density) / ($far + self::beyond($far));
        $slope = -$density * (1.0 - $part);

        // One less what they scatter between the edges: no more than with no far one.
        return [$slope, max(-1.0, min($density * ($near - $far * $part) - $slope * $slope, -1.0 + 1.0 / $near ** 2))];
    }

    /**
     * By how much the density so far out, as a part of all beyond it, is above the distance: Laplace's continued fraction.
     * Source: M. Abramowitz & I. Stegun, Handbook of Mathematical Functions, 26.2.14 (memory).
     */
    private static function beyond(float $z): float
    {
        for ([$n, $under] = [self::FRACTIONS, $z]; $n > 1; $n--) {
            $under = $z + $n / $under;
        }

        return 1.0 / $under;
    }

    public static function density(float $z): float
    {
        return exp(-0.5 * $z * $z) * self::INVERSE_ROOT_PI * M_SQRT1_2;
    }

    /** The z below which so much lies, 0 < p < 1: a start by Abramowitz & Stegun 26.2.23 (memory), then Newton's steps. */
    public static function quantile(float $p): float
    {
        $tail = min($p, 1.0 - $p);
        $t = sqrt(-2.0 * log($tail));
        $z = $t - (2.515517 + $t * (0.802853 + $t * 0.010328)) / (1.0 + $t * (1.432788 + $t * (0.189269 + $t * 0.001308)));
        for ($i = 0; $i < 4; $i++) {
            $z += (self::cdf(-$z) - $tail) / self::density($z);
        }

        return $p < 0.5 ? -$z : $z;
    }

    private static function erfSmall(float $x): float
    {
        $square = $x * $x;
        [$above, $below] = [self::A[4] * $square, $square];
        for ($i = 0; $i < 3; $i++) {
            $above = ($above + self::A[$i]) * $square;
            $below = ($below + self::B[$i]) * $square;
        }

        return ($x * ($above + self::A[3])) / ($below + self::B[3]);
    }

    /** exp(y²) · erfc(y), for y above SMALL. */
    private static function scaled(float $y): float
    {
        if ($y <= self::LARGE) {
            [$above, $below] = [self::C[8] * $y, $y];
            for ($i = 0; $i < 7; $i++) {
                $above = ($above + self::C[$i]) * $y;
                $below = ($below + self::D[$i]) * $y;
            }

            return ($above + self::C[7]) / ($below + self::D[7]);
        }
        $inverse = 1.0 / ($y * $y);
        [$above, $below] = [self::P[5] * $inverse, $inverse];
        for ($i = 0; $i < 4; $i++) {
            $above = ($above + self::P[$i]) * $inverse;
            $below = ($below + self::Q[$i]) * $inverse;
        }

        return (self::INVERSE_ROOT_PI - ($inverse * ($above + self::P[4])) / ($below + self::Q[4])) / $y;
    }
}
