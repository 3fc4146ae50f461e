<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\Normal;

/**
 * The likeliest e0 and r of a chain's readings and how sure they are, by the observed information with the given sigmas.
 * The likelihood is concave: Newton's steps, halved where they go too far.
 */
final readonly class WearFit implements WearBelief
{
    private const STEPS = 200;

    private const SETTLED = 1e-12;

    /** @param array{float, float, float} $covariance of e0, of both, of r */
    private function __construct(private float $initial, private float $rate, private array $covariance) {}

    /**
     * @param list<ForecastReading> $readings
     *
     * @throws InvalidInput at `readings` without two different km or a finite maximum
     */
    public static function of(array $readings): self
    {
        self::expectFinite($readings);
        $likelihood = new WearLikelihood($readings);
        [$initial, $rate] = self::start($readings);
        $log = $likelihood->log($initial, $rate);
        for ($i = 0; $i < self::STEPS; $i++) {
            [$d0, $d1, $d00, $d01, $d11] = $likelihood->slopes($initial, $rate);
            $det = $d00 * $d11 - $d01 * $d01;
            [$step0, $step1] =
                $det > 0.0 ? [-($d11 * $d0 - $d01 * $d1) / $det, -($d00 * $d1 - $d01 * $d0) / $det] : [$d0 * 1e-4, $d1 * 1e-4];
            for ($scale = 1.0; $scale > 1e-12; $scale /= 2) {
                $next = $likelihood->log($initial + $scale * $step0, $rate + $scale * $step1);
                if ($next >= $log) {
                    break;
                }
            }
            [$initial, $rate, $log] = [$initial + $scale * $step0, $rate + $scale * $step1, max($log, $next)];
            if (abs($scale * $step0) <= self::SETTLED * (1 + abs($initial)) && abs($scale * $step1) <= self::SETTLED * (1 + abs($rate))) {
                break;
            }
        }
        [, , $d00, $d01, $d11] = $likelihood->slopes($initial, $rate);
        $det = $d00 * $d11 - $d01 * $d01;
        ($det > 0.0 && is_finite($initial) && is_finite($rate)) ||
            throw new InvalidInput('readings', 'have no finite maximum; add a reading, or a prior');

        return new self($initial, $rate, [-$d11 / $det, $d01 / $det, -$d00 / $det]);
    }

    /** @return array{rate: float, initial: float} */
    public function standardErrors(): array
    {
        return ['rate' => sqrt($this->covariance[2]), 'initial' => sqrt($this->covariance[0])];
    }

    public function rateMean(): float
    {
        return $this->rate;
    }

    public function rateQuantile(float $p): float
    {
        return $this->rate + Normal::quantile($p) * sqrt($this->covariance[2]);
    }

    public function initialMean(): float
    {
        return $this->initial;
    }

    public function mean(float $x): float
    {
        return $this->initial + $this->rate * $x;
    }

    public function quantile(float $x, float $p): float
    {
        return $this->mean($x) + Normal::quantile($p) * $this->sd($x);
    }

    public function past(float $x, float $limitPct): float
    {
        return Normal::cdf(($this->mean($x) - $limitPct) / $this->sd($x));
    }

    /** Where (mean − limit)² = z²·variance, on the side of z: the roots of a square. */
    public function firstPast(float $fromX, float $toX, float $limitPct, float $q): ?float
    {
        if ($this->past($fromX, $limitPct) >= $q) {
            return $fromX;
        }
        if ($q === 0.5) {
            // The line itself: a square whose root vanishes would lose it to rounding.
            $x = $this->rate > 0.0 ? ($limitPct - $this->initial) / $this->rate : INF;

            return $x <= $toX ? max($fromX, $x) : null;
        }
        $z = Normal::quantile($q);
        [$v00, $v01, $v11] = $this->covariance;
        [$offset, $square] = [$this->initial - $limitPct, $z * $z];
        [$a, $b, $c] = [$this->rate ** 2 - $square * $v11, 2 * ($offset * $this->rate - $square * $v01), $offset ** 2 - $square * $v00];
        $root = $b * $b - 4 * $a * $c;
        $stable = -0.5 * ($b + ($b >= 0.0 ? 1 : -1) * sqrt(max(0.0, $root)));
        $candidates =
            $root < 0.0
                ? []
                : array_filter(
                    [$a == 0.0 ? null : $stable / $a, $stable == 0.0 ? null : $c / $stable],
                    fn(?float $x) => $x !== null && $x >= $fromX && $x <= $toX,
                );
        sort($candidates);
        foreach ($candidates as $x) {
            if (($this->mean($x) - $limitPct) * $z >= -1e-12) {
                return $x;
            }
        }

        return null;
    }

    private function sd(float $x): float
    {
        return sqrt($this->covariance[0] + 2 * $this->covariance[1] * $x + $this->covariance[2] * $x * $x);
    }

    /**
     * A maximum runs away if some line can be added to the fit that hurts no reading: it must be 0 where a reading is closed,
     * not below 0 where only a lower bound is known, not above 0 where only an upper one is.
     *
     * @param list<ForecastReading> $readings
     */
    private static function expectFinite(array $readings): void
    {
        $closed = $atLeast = $atMost = [];
        foreach ($readings as $reading) {
            if ($reading->valuePct !== null || ($reading->lowerPct !== null && $reading->upperPct !== null)) {
                $closed[] = $reading->km;
            } elseif ($reading->lowerPct !== null) {
                $atLeast[] = $reading->km;
            } else {
                $atMost[] = $reading->km;
            }
        }
        count(array_unique([...$closed, ...$atLeast, ...$atMost])) >= 2 ||
            throw new InvalidInput('readings', 'must be at two different km at least; add one, or a prior');
        $pins = array_values(array_unique($closed));
        $finite = match (true) {
            count($pins) >= 2 => true,
            // A line through the one pin, rising or falling.
            count($pins) === 1 => self::hurts($atLeast, $atMost, $pins[0], 1) && self::hurts($atLeast, $atMost, $pins[0], -1),
            default => $atLeast !== [] && $atMost !== [] && max($atLeast) > min($atMost) && min($atLeast) < max($atMost),
        };
        $finite ||
            throw new InvalidInput(
                'readings',
                'have no finite maximum: their intervals are open to the same side; add a reading, or a prior',
            );
    }

    /**
     * @param list<float> $atLeast
     * @param list<float> $atMost
     */
    private static function hurts(array $atLeast, array $atMost, float $pin, int $rises): bool
    {
        return array_filter($atLeast, fn(float $km) => $rises * ($km - $pin) < 0.0) !== [] ||
            array_filter($atMost, fn(float $km) => $rises * ($km - $pin) > 0.0) !== [];
    }

    /**
     * Least squares through values and middles; an open interval stands for its bound.
     *
     * @param list<ForecastReading> $readings
     *
     * @return array{float, float}
     */
    private static function start(array $readings): array
    {
        [$n, $sx, $sy, $sxx, $sxy] = [count($readings), 0.0, 0.0, 0.0, 0.0];
        foreach ($readings as $reading) {
            [$lower, $upper] = [$reading->lowerPct ?? $reading->upperPct, $reading->upperPct ?? $reading->lowerPct];
            [$x, $y] = [$reading->km / 1000.0, $reading->valuePct ?? ($lower + $upper) / 2];
            [$sx, $sy, $sxx, $sxy] = [$sx + $x, $sy + $y, $sxx + $x * $x, $sxy + $x * $y];
        }
        $rate = ($n * $sxy - $sx * $sy) / ($n * $sxx - $sx * $sx);

        return [($sy - $rate * $sx) / $n, $rate];
    }
}
