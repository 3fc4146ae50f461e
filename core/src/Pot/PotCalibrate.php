<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * Efficiency and loss of a pot from a logged heat-up: least squares of pot.heat's curve against the readings, efficiency
 * in (0, 1], loss 0 or more. Source: Levenberg–Marquardt, any textbook of numerical methods (memory), from the best of a
 * grid, so that it does not end in the wrong valley.
 */
final readonly class PotCalibrate implements Model
{
    private const EFFICIENCIES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0];

    private const LOSSES_W_PER_K = [0.0, 0.2, 0.4, 0.7, 1.0, 1.4, 1.9, 2.5, 3.5, 5.0, 8.0, 15.0];

    private const LEAST_EFFICIENCY = 1e-3;

    private const ROUNDS = 200;

    private const SETTLED = 1e-12;

    /** The step of a numerical derivative: efficiency, and W/K. */
    private const NUDGE = 1e-5;

    public function __invoke(PotCalibrateInput $in): PotCalibrateResult
    {
        $best = [1.0, 0.0];
        $least = INF;
        foreach (self::EFFICIENCIES as $efficiency) {
            foreach (self::LOSSES_W_PER_K as $loss) {
                $squares = self::squares($this->residuals($in, $efficiency, $loss));
                if ($squares < $least) {
                    [$best, $least] = [[$efficiency, $loss], $squares];
                }
            }
        }
        [$efficiency, $loss, $squares] = $this->descend($in, $best[0], $best[1], $least);

        return new PotCalibrateResult($efficiency, $loss, sqrt($squares / count($in->observed)));
    }

    public function compute(Fields $input): array
    {
        return $this(PotCalibrateInput::from($input))->toArray();
    }

    /** @return array{float, float, float} efficiency, loss, and the sum of squares there */
    private function descend(PotCalibrateInput $in, float $efficiency, float $loss, float $squares): array
    {
        $damping = 1e-3;
        for ($round = 0; $round < self::ROUNDS && $damping < 1e12; $round++) {
            $residuals = $this->residuals($in, $efficiency, $loss);
            // Towards the inside, so that no derivative is taken where nothing can be.
            $step = $efficiency > 0.5 ? -self::NUDGE : self::NUDGE;
            $byEfficiency = array_map(
                fn(float $there, float $here) => ($there - $here) / $step,
                $this->residuals($in, $efficiency + $step, $loss),
                $residuals,
            );
            $byLoss = array_map(
                fn(float $there, float $here) => ($there - $here) / self::NUDGE,
                $this->residuals($in, $efficiency, $loss + self::NUDGE),
                $residuals,
            );
            [$a, $b, $d] = [
                self::dot($byEfficiency, $byEfficiency) * (1 + $damping),
                self::dot($byEfficiency, $byLoss),
                self::dot($byLoss, $byLoss) * (1 + $damping),
            ];
            [$g, $h] = [-self::dot($byEfficiency, $residuals), -self::dot($byLoss, $residuals)];
            $determinant = $a * $d - $b * $b;
            if ($determinant <= 0.0) {
                $damping *= 10;
                continue;
            }
            $nextEfficiency = max(self::LEAST_EFFICIENCY, min(1.0, $efficiency + ($d * $g - $b * $h) / $determinant));
            $nextLoss = max(0.0, $loss + ($a * $h - $b * $g) / $determinant);
            // At a bound the other one is free to go all the way.
            if ($nextEfficiency === 1.0 && $d > 0.0) {
                $nextLoss = max(0.0, $loss + ($h - $b * (1.0 - $efficiency)) / $d);
            } elseif ($nextLoss === 0.0 && $a > 0.0) {
                $nextEfficiency = max(self::LEAST_EFFICIENCY, min(1.0, $efficiency + ($g + $b * $loss) / $a));
            }
            $next = self::squares($this->residuals($in, $nextEfficiency, $nextLoss));
            if ($next > $squares) {
                $damping *= 10;
                continue;
            }
            $settled = $squares - $next <= self::SETTLED * $squares;
            [$efficiency, $loss, $squares, $damping] = [$nextEfficiency, $nextLoss, $next, max(1e-12, $damping / 10)];
            if ($settled) {
                break;
            }
        }

        return [$efficiency, $loss, $squares];
    }

    /** @return list<float> what the curve shows less what the thermometer showed, °C */
    private function residuals(PotCalibrateInput $in, float $efficiency, float $loss): array
    {
        $pot = $in->pot;
        $course = new HeatCourse($pot->wax, $pot->waxG, $pot->vesselJPerK, $efficiency * $pot->powerW, $loss, $pot->ambientC);

        return array_map(fn(ObservedTemp $observed) => $course->after($pot->startC, 60 * $observed->min) - $observed->tempC, $in->observed);
    }

    /** @param list<float> $values */
    private static function squares(array $values): float
    {
        return self::dot($values, $values);
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function dot(array $a, array $b): float
    {
        return array_sum(array_map(fn(float $x, float $y) => $x * $y, $a, $b));
    }
}
