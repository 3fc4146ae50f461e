<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Fields;
use Dripel\Core\Maths\Cholesky;
use Dripel\Core\Maths\Normal;
use Dripel\Core\Model;

/**
 * What a kilometre in each condition costs this rider, learned from cycles that got loud and from those that were pulled while quiet
 * (right-censored): the effective km at the noise are Weibull, and each factor is what makes them so. The mode in the logarithms of
 * factors, median and shape, all normal before; bands by the bend at the mode. A dry kilometre is 1. Unrounded.
 * Source: accelerated failure time models of any textbook of survival analysis; R's optim on the same function.
 */
final readonly class FactorsLearn implements Model
{
    /** The search begins at the prior's shape and so far beside it, in its logarithm: with few cycles there may be more than one top. */
    private const STARTS = [0.0, -1.0, 1.0];

    private const MOST_STEPS = 500;

    private const SETTLED = 1e-10;

    /** e to this is as much as a double holds. */
    private const MOST_LOG = 700.0;

    public function __invoke(FactorsLearnInput $in): FactorsLearnResult
    {
        $ridden = array_values(
            array_filter(
                Condition::cases(),
                fn(Condition $condition) => $condition !== Condition::Dry && $this->cycles($in, $condition) > 0,
            ),
        );
        $centre = [
            ...array_map(fn(Condition $condition) => log($in->factors->of($condition)), $ridden),
            log($in->prior->medianKm),
            log($in->prior->shapeMedian),
        ];
        [$best, $mode] = [-INF, $centre];
        foreach (self::STARTS as $beside) {
            $found = $this->climb($in, $ridden, [...array_slice($centre, 0, -1), $centre[count($centre) - 1] + $beside], $centre);
            $height = $this->bend($in, $ridden, $found, $centre)[0];
            [$best, $mode] = $height > $best ? [$height, $found] : [$best, $mode];
        }
        $spread = Cholesky::of($this->bend($in, $ridden, $mode, $centre)[2]);
        $wide = Normal::quantile(0.9);
        $factors = [];
        foreach (Condition::cases() as $condition) {
            $n = array_search($condition, $ridden, true);
            [$log, $sd] = match (true) {
                $condition === Condition::Dry => [0.0, 0.0],
                $n === false => [log($in->factors->of($condition)), $in->logSd],
                default => [$mode[$n], $spread === null ? INF : sqrt($spread->inverseAt($n))],
            };
            $factors[$condition->value] = new LearnedFactor(
                exp($log),
                exp($log - $wide * $sd),
                exp($log + $wide * $sd),
                $this->cycles($in, $condition),
            );
        }

        return new FactorsLearnResult(
            $factors,
            exp($mode[count($ridden)]),
            exp($mode[count($ridden) + 1]),
            count(array_filter($in->cycles, fn(ConditionCycle $cycle) => $cycle->ended === CycleEnd::Noise)),
        );
    }

    public function compute(Fields $input): array
    {
        return $this(FactorsLearnInput::from($input))->toArray();
    }

    private function cycles(FactorsLearnInput $in, Condition $condition): int
    {
        return count(array_filter($in->cycles, fn(ConditionCycle $cycle) => isset($cycle->km[$condition->value])));
    }

    /**
     * Newton's way to the top, held back where the ground does not bend down or the step leads lower.
     *
     * @param list<Condition> $ridden
     * @param list<float> $at where it begins
     * @param list<float> $centre of the priors
     *
     * @return list<float>
     */
    private function climb(FactorsLearnInput $in, array $ridden, array $at, array $centre): array
    {
        [$height, $slope, $bend] = $this->bend($in, $ridden, $at, $centre);
        $held = 0.0;
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            $matrix = $bend;
            foreach (array_keys($matrix) as $n) {
                $matrix[$n][$n] += $held;
            }
            $way = Cholesky::of($matrix)?->solve($slope);
            $next = $way === null ? null : array_map(fn(float $one, float $by) => $one + $by, $at, $way);
            $found = $next === null ? null : $this->bend($in, $ridden, $next, $centre);
            if ($next !== null && $found !== null && $found[0] >= $height) {
                [$at, [$height, $slope, $bend]] = [$next, $found];
                $held /= 10.0;
                if ($held < 1e-6 && max([0.0, ...array_map(abs(...), $way)]) < self::SETTLED) {
                    break;
                }
                continue;
            }
            if ($held > 1e12) {
                break;
            }
            $held = max(1e-3, $held * 10.0);
        }

        return $at;
    }

    /**
     * The logarithm of the posterior but for a constant, its slope, and its bend with the sign turned, in the logarithms of the factors, of
     * the median and of the shape.
     *
     * @param list<Condition> $ridden
     * @param list<float> $at
     * @param list<float> $centre
     *
     * @return array{float, list<float>, list<list<float>>}
     */
    private function bend(FactorsLearnInput $in, array $ridden, array $at, array $centre): array
    {
        $size = count($at);
        [$m, $s] = [$size - 2, $size - 1];
        /** @var array<string, float> $factors */
        $factors = [Condition::Dry->value => 1.0];
        $places = [];
        foreach ($ridden as $n => $condition) {
            $factors[$condition->value] = exp($at[$n]);
            $places[$condition->value] = $n;
        }
        $shape = exp($at[$s]);
        $log = 0.0;
        $slope = array_fill(0, $size, 0.0);
        $bend = array_fill(0, $size, $slope);
        foreach ($at as $n => $value) {
            $sd = match ($n) {
                $m => $in->prior->logSd,
                $s => $in->prior->shapeLogSd,
                default => $in->logSd,
            };
            $log -= 0.5 * (($value - $centre[$n]) / $sd) ** 2;
            $slope[$n] -= ($value - $centre[$n]) / $sd ** 2;
            $bend[$n][$n] += 1.0 / $sd ** 2;
        }
        foreach ($in->cycles as $cycle) {
            $effective = 0.0;
            foreach ($cycle->km as $condition => $km) {
                $effective += $factors[$condition] * $km;
            }
            $t = $shape * (log($effective) - $at[$m]);
            $hazard = exp(min(self::MOST_LOG, log(M_LN2) + $t));
            $noise = $cycle->ended === CycleEnd::Noise ? 1.0 : 0.0;
            $log += $noise * ($at[$s] + log(M_LN2) + $t - log($effective) + log($factors[$cycle->last->value])) - $hazard;
            // By the logarithm of the effective km, of the median and of the shape; the second ones with their signs turned.
            $x = $noise * ($shape - 1.0) - $shape * $hazard;
            $xx = $shape ** 2 * $hazard;
            $xs = $shape * $hazard * (1.0 + $t) - $noise * $shape;
            $slope[$m] += $shape * ($hazard - $noise);
            $slope[$s] += $noise * (1.0 + $t) - $t * $hazard;
            $bend[$m][$m] += $xx;
            $bend[$m][$s] -= $xs;
            $bend[$s][$m] -= $xs;
            $bend[$s][$s] += $hazard * $t * (1.0 + $t) - $noise * $t;
            if (isset($places[$cycle->last->value])) {
                $slope[$places[$cycle->last->value]] += $noise;
            }
            // What part of the effective km each condition has is how they go with its factor.
            $parts = [];
            foreach ($cycle->km as $condition => $km) {
                if (isset($places[$condition])) {
                    $parts[$places[$condition]] = ($factors[$condition] * $km) / $effective;
                }
            }
            foreach ($parts as $i => $part) {
                $slope[$i] += $x * $part;
                $bend[$i][$i] -= $x * $part;
                $bend[$i][$m] -= $xx * $part;
                $bend[$m][$i] -= $xx * $part;
                $bend[$i][$s] += $xs * $part;
                $bend[$s][$i] += $xs * $part;
                foreach ($parts as $j => $other) {
                    $bend[$i][$j] += ($xx + $x) * $part * $other;
                }
            }
        }

        return [is_nan($log) ? -INF : $log, array_values($slope), array_map(array_values(...), $bend)];
    }
}
