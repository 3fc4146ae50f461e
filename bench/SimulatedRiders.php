<?php

declare(strict_types=1);

namespace Bench;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\ConditionCycle;
use Dripel\Core\Interval\CycleEnd;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\FactorsLearn;
use Dripel\Core\Interval\FactorsLearnInput;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Logbook\Settings;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * How well factors.learn knows riders whose factors are known: each has his own, drawn from the prior, rides as the weather is, and waxes
 * anew when a chain gets loud or, a third of the time, before.
 */
final class SimulatedRiders
{
    private const RIDERS = 200;

    private Randomizer $dice;

    public function __construct(int $seed = 23)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    /** @return array<int, array{float, float}> median error of a factor, and how often its band held it, by how many noises there were */
    public function learn(): array
    {
        $found = [];
        foreach (range(1, self::RIDERS) as $ignored) {
            $prior = LearnedByEar::prior(Settings::INTERVAL_KM);
            $median = $prior->medianKm * exp($prior->logSd * $this->normal());
            $shape = $prior->shapeMedian * exp($prior->shapeLogSd * $this->normal());
            $factors = Factors::houseRule();
            foreach ([Condition::Damp, Condition::Dusty, Condition::Wet] as $condition) {
                $factors = $factors->with($condition, $factors->of($condition) * exp(FactorsLearnInput::LOG_SD * $this->normal()));
            }
            $cycles = [];
            foreach ([10, 20, 40] as $noises) {
                while (count(array_filter($cycles, fn(ConditionCycle $one) => $one->ended === CycleEnd::Noise)) < $noises) {
                    $cycles[] = $this->cycle($factors, $median, $shape);
                }
                $learned = (new FactorsLearn())(new FactorsLearnInput($cycles, $prior, Factors::houseRule()));
                foreach ([Condition::Damp, Condition::Dusty, Condition::Wet] as $condition) {
                    [$one, $true] = [$learned->factors[$condition->value], $factors->of($condition)];
                    $found[$noises][] = [abs($one->factor / $true - 1.0), $one->p10 <= $true && $true <= $one->p90];
                }
            }
        }

        return array_map(function (array $all): array {
            $errors = array_column($all, 0);
            sort($errors);

            return [$errors[intdiv(count($errors), 2)], array_sum(array_map(intval(...), array_column($all, 1))) / count($all)];
        }, $found);
    }

    private function cycle(Factors $factors, float $median, float $shape): ConditionCycle
    {
        $loudAt = $median * (-log(1.0 - $this->between(0.0, 1.0)) / M_LN2) ** (1.0 / $shape);
        $pulledAt = $this->dice->getInt(1, 3) === 1 ? $this->between(0.3, 1.0) * $median : INF;
        // The weather of some days stays what it was: seasons.
        $season = $this->dice->getInt(0, 3);
        [$km, $effective] = [[], 0.0];
        while (true) {
            $condition = match (true) {
                $this->dice->getInt(0, 9) < 5 => Condition::Dry,
                $season === 0 => Condition::Wet,
                $season === 1 => Condition::Damp,
                $season === 2 => Condition::Dusty,
                default => Condition::Dry,
            };
            $ride = $this->between(15.0, 70.0);
            $until = min($loudAt, $pulledAt);
            $end = $effective + $ride * $factors->of($condition) >= $until;
            $ridden = $end ? max(0.01, ($until - $effective) / $factors->of($condition)) : $ride;
            $km[$condition->value] = ($km[$condition->value] ?? 0.0) + $ridden;
            $effective += $ridden * $factors->of($condition);
            if ($end) {
                return new ConditionCycle($km, $condition, $loudAt <= $pulledAt ? CycleEnd::Noise : CycleEnd::Pulled);
            }
        }
    }

    private function normal(): float
    {
        return sqrt(-2.0 * log(1.0 - $this->between(0.0, 1.0))) * cos(2.0 * M_PI * $this->between(0.0, 1.0));
    }

    private function between(float $from, float $to): float
    {
        return $from + ($to - $from) * ($this->dice->getInt(0, 2 ** 32 - 1) / 2 ** 32);
    }
}
