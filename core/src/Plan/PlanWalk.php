<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;

/** A plan ridden day by day: what is on each bike, what is left on it, and why each chain goes into the pot. */
final readonly class PlanWalk
{
    /** @var array<int, list<LaneDay>> by bike */
    public array $lanes;

    /** @var array<int, list<DipReason>> by pot day of the plan */
    public array $reasons;

    public function __construct(WorkshopPlan $plan)
    {
        $lanes = $reasons = [];
        $pots = $plan->result()->potDays;
        $dips = array_combine(array_column($pots, 'day'), array_column($pots, 'dips'));
        $deadlines = array_column($plan->deadlines, null, 'chainId');
        foreach ($plan->bikes + $plan->dripBikes + $plan->alone as $bikeId => $bike) {
            $drips = isset($plan->dripBikes[$bikeId]);
            $run = new BikeRun(
                $bike,
                $drips ? PlannedTopUp::alone((float) $bike->intervalKm, $plan->terms->topUpMinutes) : $plan->input->topUp,
            );
            [$before, $bare, $days] = [[], [], []];
            $kmPerHour = $drips && is_int($bikeId) ? $plan->dripKmPerHour($bikeId) : null;
            for ($day = 0; $day < $plan->terms->days; $day++) {
                $dipped = array_values(
                    array_filter(
                        array_keys($bike->chains),
                        fn(int $n) => !$drips && in_array($bike->chains[$n]->id, $dips[$day] ?? [], true),
                    ),
                );
                foreach ($dipped as $n) {
                    isset($run->bare[$n]) && ($bare[] = $n);
                    $before[$n][$day] = isset($run->bare[$n])
                        ? [$bike->intervalKm === null ? null : 0.0, $bike->intervalHours === null ? null : 0.0]
                        : [$run->leftKm($n), $run->leftHours($n)];
                }
                $run->dip($dipped, $day);
                $days[] = self::day($plan, $bike, $run, $bikeId, $day, $dipped, $kmPerHour);
            }
            foreach ($before as $n => $on) {
                foreach ($on as $day => $left) {
                    $reasons[$day][] = self::reason(
                        (int) $bike->chains[$n]->id,
                        $day,
                        $left,
                        $days,
                        $deadlines,
                        in_array($n, $bare, true) && $day === array_key_first($on),
                    );
                }
            }
            is_int($bikeId) && ($lanes[$bikeId] = $days);
        }
        ksort($reasons);
        [$this->lanes, $this->reasons] = [$lanes, $reasons];
    }

    /**
     * @param list<int> $dipped
     * @param float|null $kmPerHour what an hour of its wax goes, where a drip begins the hours anew: the plan counts the km that they last
     */
    private static function day(
        WorkshopPlan $plan,
        PlannedBike $bike,
        BikeRun $run,
        int|string $bikeId,
        int $day,
        array $dipped,
        ?float $kmPerHour,
    ): LaneDay {
        [$swaps, $drips] = [count($run->swaps), count($run->dripped)];
        $off = self::left($bike, $run, $run->on);
        $ridden = !isset($plan->leftOut()[$bikeId][$day]) && $run->ride($day);
        $chain = $run->on;
        $km = $bike->dailyKm[$day];
        $after = $before = self::left($bike, $run, $chain);
        if ($ridden && $km > 0.0) {
            $before = [
                $after[0] === null ? null : min($bike->intervalKm, $after[0] + $km),
                $after[1] === null ? null : min($bike->intervalHours ?? INF, $after[1] + $bike->dailyHours[$day]),
            ];
        }
        [$beforeKm, $beforeHours] = self::told($before, $kmPerHour);
        [$afterKm, $afterHours] = self::told($after, $kmPerHour);
        [$offKm, $offHours] = self::told($off, $kmPerHour);
        $swapped = isset($run->swaps[$swaps]);

        return new LaneDay(
            $day,
            (int) $bike->chains[$chain]->id,
            $beforeKm,
            $afterKm,
            $beforeHours,
            $afterHours,
            $km,
            $kmPerHour === null ? $bike->dailyHours[$day] ?? null : $km / $kmPerHour,
            ($plan->riding[$bikeId] ?? null)->ridden[$day] ?? 0.0,
            $ridden ? max(0.0, $km - ($bike->intervalKm ?? INF)) : 0.0,
            $swapped ? (int) $bike->chains[$run->swaps[$swaps][1]]->id : null,
            $swapped ? $offKm : null,
            $swapped ? $offHours : null,
            array_map(fn(array $one) => (int) $bike->chains[$one[1]]->id, array_slice($run->dripped, $drips)),
            array_map(fn(int $n) => (int) $bike->chains[$n]->id, $dipped),
            !$ridden,
            $bike->coat(...$before),
            $bike->coat(...$after),
        );
    }

    /**
     * @param array{float|null, float|null} $left
     *
     * @return array{float|null, float|null} in hours alone where it is told so
     */
    private static function told(array $left, ?float $kmPerHour): array
    {
        return $kmPerHour === null || $left[0] === null ? $left : [null, $left[0] / $kmPerHour];
    }

    /** @return array{float|null, float|null} km and hours; null in the measure that its bike does not go by */
    private static function left(PlannedBike $bike, BikeRun $run, int $chain): array
    {
        return [isset($run->bare[$chain]) && $bike->intervalKm !== null ? 0.0 : $run->leftKm($chain), $run->leftHours($chain)];
    }

    /**
     * @param array{float|null, float|null} $left
     * @param list<LaneDay> $days of its bike
     * @param array<int, Deadline> $deadlines by chain
     */
    private static function reason(int $chainId, int $day, array $left, array $days, array $deadlines, bool $bare): DipReason
    {
        [$km, $hours, $riddenOn] = [0.0, 0.0, null];
        foreach (array_slice($days, $day) as $one) {
            if ($one->day > $day && in_array($chainId, $one->dipped, true)) {
                break;
            }
            if ($one->chainId === $chainId && $one->rideKm > 0.0 && !$one->broken) {
                $riddenOn ??= $one->day;
                $km += $one->rideKm;
                $hours += $one->rideHours ?? 0.0;
            }
        }
        $deadline = $deadlines[$chainId] ?? null;

        return new DipReason(
            $chainId,
            match (true) {
                $bare => DipWhy::Rust,
                $deadline !== null && !$deadline->missed && $day >= $deadline->from && $day <= $deadline->until => DipWhy::from(
                    $deadline->kind->value,
                ),
                ($left[0] !== null && $km > $left[0] + Check::EPSILON) || ($left[1] !== null && $hours > $left[1] + Check::EPSILON)
                    => DipWhy::Short,
                default => DipWhy::Along,
            },
            $left[0],
            $left[1],
            $riddenOn,
        );
    }
}
