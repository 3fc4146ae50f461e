<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Rides;

/**
 * What the road was like, from the rain: wet where it rained on the ride, damp where it had rained not long before, else dry. House rules;
 * wind, sun and snow are left out, and what is gravel or mud no rain gauge tells.
 */
final readonly class RoadGuess
{
    /** mm on the ride from which on a road runs with water. */
    private const WET_MM = 0.5;

    /** mm that leave it damp: a sprinkle on the ride, or a shower in the hours before. */
    private const SPRINKLE_MM = 0.1;

    private const SHOWER_MM = 1.0;

    private const DRIES_S = 3 * Rain::HOUR_S;

    private function __construct(
        public Condition $condition,
        /** mm on the ride. */
        public float $ridingMm,
        /** mm in the three hours before. */
        public float $beforeMm,
    ) {}

    /** What a bike met, or will: nothing where it was last ridden indoors. Null too where the rain of its hours is not known. */
    public static function ofBike(Rain $rain, Rides $rides, int $startS, float $hours): ?self
    {
        return $rides->last()?->condition === Condition::Indoor ? null : self::of($rain, $startS, $hours);
    }

    /** Whether the rain on the ride itself tells, not that before it. */
    public function onTheWay(): bool
    {
        return $this->ridingMm >= self::SPRINKLE_MM;
    }

    /** mm of the rain that tells. */
    public function mm(): float
    {
        return $this->onTheWay() ? $this->ridingMm : $this->beforeMm;
    }

    /** Null where the rain of its hours is not known. */
    public static function of(Rain $rain, int $startS, float $hours): ?self
    {
        $ridingMm = $rain->between($startS, $startS + max(1, (int) round(Rain::HOUR_S * $hours)));
        $beforeMm = $rain->between($startS - self::DRIES_S, $startS);

        return $ridingMm === null || $beforeMm === null
            ? null
            : new self(
                match (true) {
                    $ridingMm >= self::WET_MM => Condition::Wet,
                    $ridingMm >= self::SPRINKLE_MM, $beforeMm >= self::SHOWER_MM => Condition::Damp,
                    default => Condition::Dry,
                },
                $ridingMm,
                $beforeMm,
            );
    }
}
