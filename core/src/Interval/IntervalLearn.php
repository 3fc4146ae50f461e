<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\Normal;
use Dripel\Core\Model;

/**
 * When wax gets loud, learned from cycles that did and from cycles that were pulled while quiet (right-censored): Weibull,
 * S(x) = exp(−(x/λ)^k). With a prior the mode in ln median and ln k, without one maximum likelihood. km, unrounded.
 * Source: the Weibull model of any textbook of survival analysis; R's survival::survreg(dist = "weibull").
 */
final readonly class IntervalLearn implements Model
{
    /** How far ln k is sought from where the search begins, and in what steps. */
    private const SEARCH = 12.0;

    private const STEP = 0.25;

    private const SETTLED = 1e-12;

    /** @throws InvalidInput at `cycles` */
    public function __invoke(IntervalLearnInput $in): IntervalLearnResult
    {
        [$a, $b] = $this->mode($in);
        $k = exp($b);
        // The hazard of the quantile over that of the median, in the logarithm: how far the one lies from the other.
        $apart = log(-log1p(-$in->quantile)) - log(M_LN2);
        $sd = $this->logSd($in, $a, $b, $apart);
        $interval = $a + $apart / $k;
        $wide = Normal::quantile(0.9) * $sd;

        return new IntervalLearnResult(
            $k,
            exp($a - log(M_LN2) / $k),
            exp($a),
            exp($interval),
            count($in->cycles),
            count($in->noises()),
            exp($interval - $wide),
            exp($interval + $wide),
        );
    }

    public function compute(Fields $input): array
    {
        return $this(IntervalLearnInput::from($input))->toArray();
    }

    /** @return array{float, float} ln median and ln k */
    private function mode(IntervalLearnInput $in): array
    {
        if ($in->prior !== null && $in->cycles === []) {
            return [log($in->prior->medianKm), log($in->prior->shapeMedian)];
        }
        $centre = $in->prior === null ? 0.0 : log($in->prior->shapeMedian);
        $profile = fn(float $b): float => $this->log($in, $this->bestMedian($in, $b), $b);
        [$best, $at] = [-INF, $centre];
        for ($b = $centre - self::SEARCH; $b <= $centre + self::SEARCH; $b += self::STEP) {
            $log = $profile($b);
            [$best, $at] = $log > $best ? [$log, $b] : [$best, $at];
        }
        // Golden section between its neighbours.
        $golden = (sqrt(5) - 1) / 2;
        [$low, $high] = [$at - self::STEP, $at + self::STEP];
        while ($high - $low > 1e-9) {
            [$c, $d] = [$high - $golden * ($high - $low), $low + $golden * ($high - $low)];
            [$low, $high] = $profile($c) > $profile($d) ? [$low, $d] : [$c, $high];
        }
        $b = ($low + $high) / 2;

        return [$this->bestMedian($in, $b), $b];
    }

    /** The most likely ln median for a shape: concave in it. */
    private function bestMedian(IntervalLearnInput $in, float $b): float
    {
        $k = exp($b);
        $noises = count($in->noises());
        // Σ H = noises, taken in logarithms: k may be large.
        $logs = array_map(fn(WaxCycle $cycle) => $k * log($cycle->km), $in->cycles);
        $top = max([-INF, ...$logs]);
        $sum = $top + log(array_sum(array_map(fn(float $log) => exp($log - $top), $logs)));
        if ($in->prior === null) {
            return (log(M_LN2) + $sum - log($noises)) / $k;
        }
        [$m, $variance] = [log($in->prior->medianKm), $in->prior->logSd ** 2];
        // With the prior: −noises·k + k·e^(ln ln 2 + sum − k·a) − (a − m)/variance = 0, falling in a.
        $slope = fn(float $a): float => -$noises * $k + $k * exp(min(700.0, log(M_LN2) + $sum - $k * $a)) - ($a - $m) / $variance;
        [$low, $high, $wide] = [$m, $m, 1.0];
        while ($slope($low) < 0.0) {
            $low -= $wide *= 2;
        }
        $wide = 1.0;
        while ($slope($high) > 0.0) {
            $high += $wide *= 2;
        }
        while ($high - $low > self::SETTLED * max(1.0, abs($low))) {
            $middle = ($low + $high) / 2;
            if ($middle === $low || $middle === $high) {
                break;
            }
            [$low, $high] = $slope($middle) > 0.0 ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** Log posterior, or log likelihood, but for a constant. */
    private function log(IntervalLearnInput $in, float $a, float $b): float
    {
        $k = exp($b);
        $sum =
            $in->prior === null
                ? 0.0
                : -0.5 * (($a - log($in->prior->medianKm)) / $in->prior->logSd) ** 2 -
                    0.5 * (($b - log($in->prior->shapeMedian)) / $in->prior->shapeLogSd) ** 2;
        foreach ($in->cycles as $cycle) {
            $z = log(M_LN2) + $k * (log($cycle->km) - $a);
            $sum += ($cycle->ended === CycleEnd::Noise ? $b + $z - log($cycle->km) : 0.0) - exp(min(700.0, $z));
        }

        return $sum;
    }

    /** The standard deviation of the logarithm of the quantile, by the bend of the logarithm at its top. */
    private function logSd(IntervalLearnInput $in, float $a, float $b, float $apart): float
    {
        $k = exp($b);
        [$aa, $ab, $bb] = $in->prior === null ? [0.0, 0.0, 0.0] : [1.0 / $in->prior->logSd ** 2, 0.0, 1.0 / $in->prior->shapeLogSd ** 2];
        foreach ($in->cycles as $cycle) {
            $t = $k * (log($cycle->km) - $a);
            $hazard = exp(min(700.0, log(M_LN2) + $t));
            $noise = $cycle->ended === CycleEnd::Noise ? 1.0 : 0.0;
            // d²/da², d²/dadb, d²/db² of noise·(b + z) − e^z, with their signs turned.
            $aa += $k * $k * $hazard;
            $ab += $k * $noise - $k * $hazard * (1.0 + $t);
            $bb += -$noise * $t + $hazard * $t * (1.0 + $t);
        }
        $det = $aa * $bb - $ab ** 2;
        // The quantile is a + apart·e^(−b).
        $slope = -$apart / $k;

        return $det <= 0.0 ? INF : sqrt(max(0.0, ($bb - 2.0 * $slope * $ab + $slope ** 2 * $aa) / $det));
    }
}
