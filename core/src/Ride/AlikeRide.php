<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use DateTimeZone;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Plan\LocalDay;

/**
 * Whether a ride is in the logbook already though its file is another one: logged by hand, or exported a second time. House rules:
 * it began within a quarter of an hour and is as long within 5 %, or 1 km; where only the day is known, on that day.
 */
final readonly class AlikeRide
{
    private const WITHIN_S = 900;

    private const SHARE = 0.05;

    private const LEAST_KM = 1.0;

    public function __construct(private Rides $rides, private DateTimeZone $zone) {}

    /** @param bool $minute whether the time of the start is known */
    public function of(int $startS, bool $minute, float $km): ?Ride
    {
        $day = LocalDay::of($startS, $this->zone);
        foreach ($this->rides->between($day->startS(), $day->endS() + 1) as $ride) {
            $timed = $minute && $ride->moment->precision === Precision::Minute;
            if (
                $ride->guess === null &&
                abs($ride->km - $km) <= max(self::LEAST_KM, self::SHARE * $km) &&
                (!$timed || abs($ride->moment->unixS - $startS) <= self::WITHIN_S)
            ) {
                return $ride;
            }
        }

        return null;
    }
}
