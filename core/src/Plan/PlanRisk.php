<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Fields;
use Dripel\Core\Model;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * How sure a plan is: it is ridden again and again, each time with weeks drawn from those that each bike was ridden before, every one as
 * likely; bikes and weeks are independent. Pot days and dips stay as planned; a ride that no chain can take is ridden all the same.
 * Deterministic by the seed. Source: the bootstrap of any textbook of statistics; checked by counting every draw where there are few.
 */
final readonly class PlanRisk implements Model
{
    private const WEEK = 7;

    public function __invoke(PlanRiskInput $in): PlanRiskResult
    {
        $dice = new Randomizer(new Xoshiro256StarStar($in->seed));
        // Where no week is drawn one run is like the next.
        $fixed = array_map(fn(PlannedBike $bike) => $in->weeks[$bike->id] === [] ? $this->run($in, $bike) : null, $in->plan->bikes);
        $zeros = array_fill(0, count($in->plan->bikes), 0);
        [$waxed, $onWax, $swaps, $topUps, $troubles] = [0, $zeros, $zeros, $zeros, array_map(fn(int $_): array => [], $zeros)];
        for ($n = 0; $n < $in->runs; $n++) {
            $all = true;
            foreach ($in->plan->bikes as $b => $bike) {
                [$trouble, $run] = $fixed[$b] ?? $this->run($in, $this->drawn($in, $bike, $dice));
                if ($trouble === null) {
                    $onWax[$b]++;
                } else {
                    $troubles[$b][$trouble] = ($troubles[$b][$trouble] ?? 0) + 1;
                    $all = false;
                }
                $swaps[$b] += count($run->swaps);
                $topUps[$b] += count($run->dripped);
            }
            $waxed += $all ? 1 : 0;
        }
        $share = fn(int $of): float => $of / $in->runs;

        return new PlanRiskResult(
            $in->runs,
            $share($waxed),
            array_map(
                function (PlannedBike $bike, int $b) use ($share, $onWax, $troubles, $swaps, $topUps): BikeRisk {
                    ksort($troubles[$b]);

                    return new BikeRisk(
                        $bike->id,
                        $share($onWax[$b]),
                        array_map($share, $troubles[$b]),
                        $share($swaps[$b]),
                        $share($topUps[$b]),
                    );
                },
                $in->plan->bikes,
                array_keys($in->plan->bikes),
            ),
        );
    }

    public function compute(Fields $input): array
    {
        return $this(PlanRiskInput::from($input))->toArray();
    }

    /** The day of the first ride without wax where a bike is ridden otherwise than it was planned, from 0; null: there is none. */
    public function troubleOf(PlanRiskInput $in, PlannedBike $bike): ?int
    {
        return $this->run($in, $bike)[0];
    }

    /** The bike on weeks drawn from its own. */
    private function drawn(PlanRiskInput $in, PlannedBike $bike, Randomizer $dice): PlannedBike
    {
        $weeks = $in->weeks[$bike->id];
        $km = [];
        $week = $weeks[0];
        for ($day = 0; $day < $in->plan->days; $day++) {
            $weekday = ($in->startWeekday + $day) % self::WEEK;
            if ($day === 0 || $weekday === 0) {
                $week = $weeks[$dice->getInt(0, count($weeks) - 1)];
            }
            $km[] = $week[$weekday];
        }
        $hours = $bike->intervalHours === null ? [] : array_map(fn(float $each) => $each * $in->hoursPerKm[$bike->id], $km);

        return $bike->riding($km, $hours);
    }

    /** @return array{int|null, BikeRun} the day of its first ride without wax */
    private function run(PlanRiskInput $in, PlannedBike $bike): array
    {
        $run = new BikeRun($bike, $in->plan->topUp);
        $trouble = null;
        for ($day = 0; $day < $in->plan->days; $day++) {
            if (isset($in->dips[$day])) {
                $run->dip(
                    array_values(
                        array_filter(array_keys($bike->chains), fn(int $n) => in_array($bike->chains[$n]->id, $in->dips[$day], true)),
                    ),
                    $day,
                );
            }
            if (!$run->ride($day)) {
                $run->rideDry();
                $trouble ??= $day;
            }
        }

        return [$trouble, $run];
    }
}
