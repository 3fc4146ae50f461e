<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\CardinalSeries;
use Dripel\Core\Maths\Normal;

/**
 * What is believed of e0 and r after the readings, by quadrature over u = ln r and v = e(pivot), a lattice laid so that both
 * hardly depend on each other. The density is smooth and dies out on all sides, so the trapezoidal rule converges as fast as it
 * dies out in frequency; how much lies beyond a cut is summed by the cardinal series, which keeps that accuracy.
 */
final class WearPosterior implements WearBelief
{
    /** Below that part of the most likely the density counts for nothing: e to this. */
    private const NOTHING = -24.0;

    /** Steps of the lattice as parts of the narrowest feature. */
    private const STEP = 0.8;

    /** How far the search for the most likely rate goes, in log_sd of the prior, and in how many steps. */
    private const SEARCH_SD = 9.0;

    private const SEARCH_STEPS = 24;

    /** So fine is e0 sought, as a part of its spread in the prior: the profile hardly feels more. */
    private const SETTLED = 1e-7;

    /** What is nearer to none or all than this is not told from it. */
    private const SURE = 1e-12;

    /** A belief wider than that is none. */
    private const MOST_ROWS = 20_000;

    /** @var array<int, array<int, float>> share of each point, by row (u) and column (v) */
    private array $shares = [];

    /** @var array<int, array<int, float>> the same by column and row */
    private array $columns = [];

    /** @var array<int, float> share of each row */
    private array $rows = [];

    /** @var array<int, float> r of each row, % per 1000 km */
    private array $rates = [];

    /** Where e0 was best for the rate that was asked last: the next one is near. */
    private float $lastInitial = 0.0;

    private float $pivotX = 0.0;

    private float $stepU = 1.0;

    private float $stepV = 1.0;

    private float $modeU = 0.0;

    private float $modeV = 0.0;

    private float $sdU = 1.0;

    private float $sdV = 1.0;

    private function __construct(private readonly WearLikelihood $likelihood, private readonly WearPrior $prior) {}

    /** @param list<ForecastReading> $readings */
    public static function of(array $readings, WearPrior $prior): self
    {
        $belief = new self(new WearLikelihood($readings), $prior);
        $belief->locate();
        $belief->lay();

        return $belief;
    }

    public function rateMean(): float
    {
        $mean = 0.0;
        foreach ($this->rows as $j => $share) {
            $mean += $share * $this->rates[$j];
        }

        return $mean;
    }

    public function rateQuantile(float $p): float
    {
        return exp(self::solve(fn(float $u) => CardinalSeries::before($this->rows, ($u - $this->modeU) / $this->stepU) - $p, $this->modeU, $this->sdU));
    }

    public function initialMean(): float
    {
        return $this->mean(0.0);
    }

    public function mean(float $x): float
    {
        $mean = 0.0;
        foreach ($this->shares as $j => $row) {
            foreach ($row as $k => $share) {
                $mean += $share * ($this->modeV + $k * $this->stepV + $this->rates[$j] * ($x - $this->pivotX));
            }
        }

        return $mean;
    }

    public function quantile(float $x, float $p): float
    {
        $slope = exp($this->modeU) * ($x - $this->pivotX);

        return self::solve(fn(float $e) => 1.0 - $this->past($x, $e) - $p, $this->modeV + $slope, hypot($this->sdV, $slope * $this->sdU));
    }

    public function past(float $x, float $limitPct): float
    {
        $ahead = $x - $this->pivotX;

        // Cut across that direction in which the belief is the wider: the cut is then no sharper than the lattice.
        return exp($this->modeU) * abs($ahead) * $this->sdU < $this->sdV ? $this->pastByV($ahead, $limitPct) : $this->pastByU($ahead, $limitPct);
    }

    public function firstPast(float $fromX, float $toX, float $limitPct, float $q): ?float
    {
        if ($this->past($fromX, $limitPct) >= $q) {
            return $fromX;
        }
        if ($this->past($toX, $limitPct) < $q) {
            return null;
        }
        // Rates are above 0, so it only grows; halved in the logarithm of the way ahead, which may be short or very long.
        [$low, $high] = [1e-6, $toX - $fromX];
        if ($this->past($fromX + $low, $limitPct) >= $q) {
            return $fromX;
        }
        // As a normal quantile it is nearly a straight line in the logarithm: a chord soon finds it.
        $z = fn(float $p): float => Normal::quantile(max(self::SURE, min(1.0 - self::SURE, $p)));
        $g = fn(float $log): float => $z($this->past($fromX + exp($log), $limitPct)) - $z($q);

        // Begun around where the most likely of all reaches it, as far as that lies ahead.
        $likely = ($limitPct - $this->modeV) / exp($this->modeU) + $this->pivotX - $fromX;
        $start = log(min($high, max($low, $likely)));

        return $fromX + exp(max(log($low), min(log($high), self::solve($g, $start, 0.5))));
    }

    private function pastByV(float $ahead, float $limitPct): float
    {
        $past = 0.0;
        foreach ($this->shares as $j => $row) {
            $past += $this->rows[$j] - CardinalSeries::before($row, ($limitPct - $this->rates[$j] * $ahead - $this->modeV) / $this->stepV);
        }

        return min(1.0, max(0.0, $past));
    }

    /** e = v + r·ahead: the rate that just reaches the limit is the cut; ahead is not 0. */
    private function pastByU(float $ahead, float $limitPct): float
    {
        $past = 0.0;
        foreach ($this->columns as $k => $column) {
            $rate = ($limitPct - $this->modeV - $k * $this->stepV) / $ahead;
            if ($rate <= 0.0) {
                // Past it already, however slowly it wears; or, before the pivot, never.
                $past += $ahead > 0.0 ? array_sum($column) : 0.0;
                continue;
            }
            $before = CardinalSeries::before($column, (log($rate) - $this->modeU) / $this->stepU);
            $past += $ahead > 0.0 ? array_sum($column) - $before : $before;
        }

        return min(1.0, max(0.0, $past));
    }

    /** The most likely place, the pivot at which both hardly depend on each other, and how wide it is there. */
    private function locate(): void
    {
        $centre = log($this->prior->rateMedian);
        $width = self::SEARCH_SD * $this->prior->rateLogSd;
        [$best, $bestU, $bestInitial] = [-INF, $centre, $this->prior->initialMean];
        // From the middle outward: far out e0 is carried off, and would be long in coming back.
        foreach ([1, -1] as $direction) {
            $this->lastInitial = $this->prior->initialMean;
            for ($i = 0; $i <= self::SEARCH_STEPS / 2; $i++) {
                $u = $centre + $direction * $width * 2 * $i / self::SEARCH_STEPS;
                $log = $this->profile($u);
                [$best, $bestU, $bestInitial] = $log > $best ? [$log, $u, $this->lastInitial] : [$best, $bestU, $bestInitial];
            }
        }
        $this->lastInitial = $bestInitial;
        $u = $this->climb($bestU, 2 * $width / self::SEARCH_STEPS);
        $initial = $this->bestInitial($u, $this->lastInitial);
        $rate = exp($u);
        // How the profile bends, over a step that follows its own width.
        $delta = $this->profileWidth($u, $this->prior->rateLogSd);
        [$before, $after] = [$this->bestInitial($u - $delta, $initial), $this->bestInitial($u + $delta, $initial)];
        $this->pivotX = -($after - $before) / (exp($u + $delta) - exp($u - $delta));
        [, , $d00] = $this->likelihood->slopes($initial, $rate);
        $this->sdV = 1.0 / sqrt(1.0 / $this->prior->initialSd ** 2 - min(0.0, $d00));
        $this->sdU = $delta;
        [$this->modeU, $this->modeV] = [$u, $initial + $rate * $this->pivotX];
        [$narrowV, $narrowU] = [$this->sdV, min($this->sdU, $this->prior->rateLogSd)];
        foreach ($this->likelihood->intervals as [, $lower, $upper, $sharp]) {
            $narrowV = min($narrowV, 1.0 / $sharp);
            foreach (array_filter([$lower, $upper], is_finite(...)) as $bound) {
                $narrowU = min($narrowU, 1.0 / $sharp / (abs($bound - $this->modeV) + 3 * $this->sdV));
            }
        }
        [$this->stepU, $this->stepV] = [self::STEP * $narrowU, self::STEP * $narrowV];
    }

    /** The whole lattice as far as anything is there, row by row from the most likely one outward. */
    private function lay(): void
    {
        $peak = $this->at(0, 0);
        $total = 0.0;
        foreach ([1, -1] as $direction) {
            $k = 0;
            for ($n = 0; $n < self::MOST_ROWS; $n++) {
                $j = $direction === 1 ? $n : -1 - $n;
                [$k, $row, $most] = $this->row($j, $k, $peak);
                if ($most < $peak + self::NOTHING) {
                    break;
                }
                $this->shares[$j] = $row;
                $this->rates[$j] = exp($this->modeU + $j * $this->stepU);
                $total += array_sum($row);
            }
        }
        foreach ($this->shares as $j => $row) {
            $this->rows[$j] = array_sum($row) / $total;
            foreach ($row as $k => $share) {
                $this->shares[$j][$k] = $share / $total;
                $this->columns[$k][$j] = $share / $total;
            }
        }
    }

    /** @return array{int, array<int, float>, float} the column of its most likely point, the points that count, how likely the most is (ln) */
    private function row(int $j, int $k, float $peak): array
    {
        $known = [];
        $log = function (int $k) use ($j, &$known): float {
            return $known[$k] ??= $this->at($j, $k);
        };
        for ($step = 1024; $step >= 1; $step = intdiv($step, 2)) {
            while ($log($k + $step) > $log($k)) {
                $k += $step;
            }
            while ($log($k - $step) > $log($k)) {
                $k -= $step;
            }
        }
        $row = [];
        foreach ([1, -1] as $direction) {
            for ($i = $direction === 1 ? $k : $k - 1; $log($i) > $peak + self::NOTHING; $i += $direction) {
                $row[$i] = exp($log($i) - $peak);
            }
        }

        return [$k, $row, $log($k)];
    }

    private function at(int $j, int $k): float
    {
        $u = $this->modeU + $j * $this->stepU;

        return $this->log($u, $this->modeV + $k * $this->stepV - exp($u) * $this->pivotX);
    }

    private function log(float $u, float $initial): float
    {
        return $this->likelihood->log($initial, exp($u))
            - 0.5 * (($u - log($this->prior->rateMedian)) / $this->prior->rateLogSd) ** 2
            - 0.5 * (($initial - $this->prior->initialMean) / $this->prior->initialSd) ** 2;
    }

    /** The most likely e0 for a rate: the logarithm is concave in it. */
    private function bestInitial(float $u, float $initial): float
    {
        $rate = exp($u);
        for ($i = 0; $i < 60; $i++) {
            [$slope, , $curve] = $this->likelihood->slopes($initial, $rate);
            $variance = $this->prior->initialSd ** 2;
            $slope -= ($initial - $this->prior->initialMean) / $variance;
            $step = -$slope / (min(0.0, $curve) - 1.0 / $variance);
            // Far out an interval pulls like a spring: no step is longer than what the prior allows in one go.
            $step = max(-8 * $this->prior->initialSd, min(8 * $this->prior->initialSd, $step));
            $initial += $step;
            if (abs($step) < self::SETTLED * $this->prior->initialSd) {
                break;
            }
        }

        return $initial;
    }

    private function profile(float $u): float
    {
        $this->lastInitial = $this->bestInitial($u, $this->lastInitial);

        return $this->log($u, $this->lastInitial);
    }

    /** Golden section around the best of the search. */
    private function climb(float $u, float $around): float
    {
        $golden = (sqrt(5) - 1) / 2;
        [$a, $b] = [$u - $around, $u + $around];
        [$c, $d] = [$b - $golden * ($b - $a), $a + $golden * ($b - $a)];
        [$fc, $fd] = [$this->profile($c), $this->profile($d)];
        while ($b - $a > 1e-5 * $around) {
            if ($fc > $fd) {
                [$b, $d, $fd] = [$d, $c, $fc];
                $c = $b - $golden * ($b - $a);
                $fc = $this->profile($c);
            } else {
                [$a, $c, $fc] = [$c, $d, $fd];
                $d = $a + $golden * ($b - $a);
                $fd = $this->profile($d);
            }
        }

        return ($a + $b) / 2;
    }

    /** So far from the top that it has fallen by a half, as a normal has at one standard deviation. */
    private function profileWidth(float $u, float $most): float
    {
        $top = $this->profile($u);
        [$low, $high] = [0.0, $most];
        for ($i = 0; $i < 30; $i++) {
            $middle = ($low + $high) / 2;
            $fall = $top - 0.5 * ($this->profile($u - $middle) + $this->profile($u + $middle));
            [$low, $high] = $fall > 0.5 ? [$low, $middle] : [$middle, $high];
            if ($high - $low < 0.05 * $high) {
                break;
            }
        }

        return max(($low + $high) / 2, 1e-9);
    }

    /** @param callable(float): float $g growing */
    private static function solve(callable $g, float $start, float $width): float
    {
        [$low, $high] = [$start - $width, $start + $width];
        for ($i = 0; $g($low) > 0.0 && $i < 60; $i++) {
            $low -= $width *= 1.6;
        }
        for ($i = 0; $g($high) < 0.0 && $i < 60; $i++) {
            $high += $width *= 1.6;
        }

        return self::root($g, $low, $high);
    }

    /**
     * The Illinois rule: a chord that does not stick at one end.
     *
     * @param callable(float): float $g
     */
    private static function root(callable $g, float $low, float $high): float
    {
        [$atLow, $atHigh, $side] = [$g($low), $g($high), 0];
        for ($i = 0; $i < 100 && abs($high - $low) > 1e-8 * (1 + abs($low)); $i++) {
            $middle = $atHigh === $atLow ? ($low + $high) / 2 : ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $at = $g($middle);
            if (abs($at) < 1e-8) {
                return $middle;
            }
            if (($at > 0.0) === ($atHigh > 0.0)) {
                [$high, $atHigh, $atLow, $side] = [$middle, $at, $side === 1 ? $atLow / 2 : $atLow, 1];
            } else {
                [$low, $atLow, $atHigh, $side] = [$middle, $at, $side === -1 ? $atHigh / 2 : $atHigh, -1];
            }
        }

        return ($low + $high) / 2;
    }
}
