<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * A function between two places, known at the Gauss–Legendre points between them: as a series of Legendre polynomials it can be
 * read and integrated up to any place within, and its last terms tell whether it is known well enough.
 * Source: M. Abramowitz & I. Stegun, Handbook of Mathematical Functions, 22.7.10 and 8.14.13 (memory).
 */
final class GaussPanel
{
    public const POINTS = GaussRule::POINTS;

    /** @var list<float>|null terms of the series, once more is asked than its integral and its doubt */
    private ?array $terms = null;

    /** @param list<float> $values at `places($from, $to)` */
    public function __construct(public readonly float $from, public readonly float $to, public readonly array $values) {}

    /** @param callable(float): float $f */
    public static function of(float $from, float $to, callable $f): self
    {
        return new self($from, $to, array_map($f, self::places($from, $to)));
    }

    /** @return list<float> */
    public static function places(float $from, float $to): array
    {
        [$middle, $half] = [($from + $to) / 2, ($to - $from) / 2];

        return array_map(fn(float $x) => $middle + $half * $x, GaussRule::known()->nodes);
    }

    /** @return list<float> what each place counts in an integral from −1 to 1 */
    public static function weights(): array
    {
        return GaussRule::known()->weights;
    }

    public function integral(): float
    {
        return $this->term(0) * ($this->to - $this->from);
    }

    /** The integral from the beginning up to a place within. */
    public function until(float $place): float
    {
        return $this->course($place)[0];
    }

    /** The function itself at a place within; without the integral, for whoever looks for a place of it. */
    public function value(float $place): float
    {
        [$x, $terms] = [$this->unit($place), $this->terms()];
        [$before, $here, $value] = [1.0, $x, $terms[0]];
        for ($n = 1, $odd = 3.0; $n < self::POINTS; $n++, $odd += 2.0) {
            $value += $terms[$n] * $here;
            $next = ($odd * $x * $here - $n * $before) / ($n + 1);
            $before = $here;
            $here = $next;
        }

        return $value;
    }

    /** @return array{float, float} the integral up to a place within, and the function there */
    public function course(float $place): array
    {
        [$x, $terms] = [$this->unit($place), $this->terms()];
        // ∫ P_n = (P_{n+1} − P_{n−1}) / (2n + 1)
        [$before, $here, $value, $sum] = [1.0, $x, $terms[0], $terms[0] * ($x + 1.0)];
        for ($n = 1, $odd = 3.0; $n < self::POINTS; $n++, $odd += 2.0) {
            $next = ($odd * $x * $here - $n * $before) / ($n + 1);
            $term = $terms[$n];
            $value += $term * $here;
            $sum += ($term * ($next - $before)) / $odd;
            $before = $here;
            $here = $next;
        }

        return [($sum * ($this->to - $this->from)) / 2, $value];
    }

    /** @return list<float> */
    private function terms(): array
    {
        if ($this->terms === null) {
            $this->terms = [];
            for ($n = 0; $n < self::POINTS; $n++) {
                $this->terms[] = $this->term($n);
            }
        }

        return $this->terms;
    }

    private function term(int $n): float
    {
        $term = 0.0;
        foreach (GaussRule::known()->project[$n] as $i => $weight) {
            $term += $weight * $this->values[$i];
        }

        return $term;
    }

    /** A place as one between −1 and 1. */
    private function unit(float $place): float
    {
        return max(-1.0, min(1.0, (2 * $place - $this->from - $this->to) / ($this->to - $this->from)));
    }

    /** How much of the integral is in doubt, at the most: what the last two terms could add. */
    public function doubt(): float
    {
        return (abs($this->term(self::POINTS - 1)) + abs($this->term(self::POINTS - 2))) * ($this->to - $this->from);
    }
}
