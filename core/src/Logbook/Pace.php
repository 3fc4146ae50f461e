<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How fast somebody rides, by the rides that were timed: what stands in for the hours of one that was not. */
final readonly class Pace
{
    /**
     * Hours per km as ridden; null where no ride was timed.
     *
     * @param iterable<Ride> $rides
     */
    public static function hoursPerKm(iterable $rides): ?float
    {
        [$hours, $km] = [0.0, 0.0];
        foreach ($rides as $ride) {
            if ($ride->hours !== null && $ride->hours > 0.0) {
                [$hours, $km] = [$hours + $ride->hours, $km + $ride->km];
            }
        }

        return $km > 0.0 ? $hours / $km : null;
    }
}
