<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * What is left of a chain's wax. Units: km, hours. Each ride takes km·factor from what is left, never below 0 (no debt);
 * a top-up adds its km, never above the interval. Hours count from the dip; top-ups do not reset them; a ride without hours takes
 * the pace that is given. What is not limited is left without a figure. Due when nothing is left, when the hours are up, or after a
 * wet or muddy ride with no top-up since, said in this order.
 * Source: intervals and top-ups by common practice; the factors are house rules.
 */
final readonly class WaxLife implements Model
{
    public function __invoke(WaxLifeInput $in): WaxLifeResult
    {
        $addedAfter = [];
        foreach ($in->topUps as $topUp) {
            $addedAfter[$topUp->afterRide] = ($addedAfter[$topUp->afterRide] ?? 0.0) + $topUp->km;
        }
        [$effectiveKm, $hours, $leftKm, $soaked] = [0.0, 0.0, $in->intervalKm ?? INF, false];
        [$rideLeftKm, $rideLeftHours, $leftAfterKm] = [[], [], []];
        foreach ($in->rides as $index => $ride) {
            $effectiveKm += $ride->effectiveKm;
            $hours += $ride->hours ?? $ride->km * ($in->hoursPerKm ?? 0.0);
            $leftKm -= $ride->effectiveKm;
            // A sum of doubles that should come to 0 must not leave a hair of wax.
            $leftKm = $leftKm > Check::EPSILON ? $leftKm : 0.0;
            $rideLeftKm[] = $leftKm;
            $in->intervalHours === null || ($rideLeftHours[] = self::leftHours($in->intervalHours, $hours));
            $soaked = $soaked || $ride->condition->soaks();
            if (isset($addedAfter[$index])) {
                $leftKm = min($in->intervalKm ?? INF, $leftKm + $addedAfter[$index]);
                $soaked = false;
            }
            $leftAfterKm[] = $leftKm;
        }
        $leftHours = $in->intervalHours === null ? null : self::leftHours($in->intervalHours, $hours);

        return new WaxLifeResult(
            $effectiveKm,
            $hours,
            $in->intervalKm === null ? null : $leftKm,
            $leftHours,
            min($in->intervalKm === null ? 1.0 : $leftKm / $in->intervalKm, $leftHours === null ? 1.0 : $leftHours / $in->intervalHours),
            match (true) {
                $leftKm === 0.0 => DueBecause::Distance,
                $leftHours === 0.0 => DueBecause::Hours,
                $soaked => DueBecause::Wet,
                default => null,
            },
            $rideLeftKm,
            $rideLeftHours,
            $leftAfterKm,
        );
    }

    private static function leftHours(float $interval, float $hours): float
    {
        return $hours >= $interval - Check::EPSILON ? 0.0 : $interval - $hours;
    }

    public function compute(Fields $input): array
    {
        return $this(WaxLifeInput::from($input))->toArray();
    }
}
