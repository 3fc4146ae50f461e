<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * The Gauss–Legendre rule: where a function on [−1, 1] is looked at, what each place counts in its integral, and in its
 * terms as a series of Legendre polynomials. Source: M. Abramowitz & I. Stegun, Handbook of Mathematical Functions, 25.4.29
 * and 22.7.10 (memory); places by Newton's steps.
 */
final class GaussRule
{
    public const POINTS = 10;

    private static ?self $known = null;

    /**
     * @param list<float> $nodes
     * @param list<float> $weights
     * @param list<list<float>> $project by term and place
     */
    private function __construct(public readonly array $nodes, public readonly array $weights, public readonly array $project) {}

    /** Worked out once. */
    public static function known(): self
    {
        return self::$known ??= self::workedOut();
    }

    private static function workedOut(): self
    {
        [$nodes, $weights, $project] = [[], [], array_fill(0, self::POINTS, [])];
        for ($i = 0; $i < self::POINTS; $i++) {
            $x = -cos((M_PI * ($i + 0.75)) / (self::POINTS + 0.5));
            do {
                $step = self::polynomials($x)[self::POINTS] / self::slope($x);
                $x -= $step;
            } while (abs($step) > 1e-15);
            $nodes[] = $x;
            $weights[] = 2.0 / ((1.0 - $x * $x) * self::slope($x) ** 2);
            $p = self::polynomials($x);
            for ($n = 0; $n < self::POINTS; $n++) {
                $project[$n][] = ((2 * $n + 1) / 2) * $weights[$i] * $p[$n];
            }
        }

        return new self($nodes, $weights, $project);
    }

    /** Of the polynomial whose zeros are the places. */
    private static function slope(float $x): float
    {
        $p = self::polynomials($x);

        return (self::POINTS * ($x * $p[self::POINTS] - $p[self::POINTS - 1])) / ($x * $x - 1.0);
    }

    /** @return non-empty-list<float> Legendre's, by degree, up to POINTS */
    private static function polynomials(float $x): array
    {
        $p = [1.0, $x];
        for ($n = 1; $n < self::POINTS; $n++) {
            $p[] = ((2 * $n + 1) * $x * $p[$n] - $n * $p[$n - 1]) / ($n + 1);
        }

        return $p;
    }
}
