<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How fast somebody rides, by the rides that were timed: what stands in for the hours of one that was not. */
final readonly class Pace
{
    /** Hours per km as ridden; null where no ride was timed. */
    public static function hoursPerKm(Rides $rides): ?float
    {
        $km = $rides->sum(RideSum::TimedKm);

        return $km > 0.0 ? $rides->sum(RideSum::Hours) / $km : null;
    }
}
