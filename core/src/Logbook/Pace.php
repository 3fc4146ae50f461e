<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How fast somebody rides, by the rides that were timed: what stands in for the hours of one that was not. */
final readonly class Pace
{
    /** Of a bike on which nobody ever timed a ride, where its hours are wanted all the same. House rule. */
    public const USUAL_KMH = 20.0;

    /** Hours per km as ridden; null where no ride was timed. */
    public static function hoursPerKm(Rides $rides): ?float
    {
        $km = $rides->sum(RideSum::TimedKm);

        return $km > 0.0 ? $rides->sum(RideSum::Hours) / $km : null;
    }

    /**
     * What an untimed ride counts for, in hours per km as ridden. Where no ride was timed: the usual pace if hours alone say when wax is
     * due, which else would never be; beside an interval in km no hours at all.
     *
     * @param float|null $hoursPerKm of the rides that were timed; null: none was
     */
    public static function counted(?float $hoursPerKm, bool $hoursAlone): float
    {
        return $hoursPerKm ?? ($hoursAlone ? 1.0 / self::USUAL_KMH : 0.0);
    }
}
