<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\ChainState;

/**
 * The day whose usual ride the wax will no longer carry, or, where no rides are usual, the day it runs out at the recent
 * weekly distance. Wax in effective km, the ride in its own. An estimate: it supposes that the next weeks are like the last eight.
 */
final readonly class GoodUntil
{
    private const HORIZON_DAYS = 56;

    private function __construct(
        public string $date,
        /** What the wax will fall short of the ride of that day; null when worked out from the weekly distance. */
        public ?float $shortKm,
        /** That ride's own km. */
        public ?float $rideKm,
        public float $weeklyKm,
        public int $daysAhead,
    ) {}

    /** @return self|null null without wax or knowledge of it, without recent rides, or beyond the horizon */
    public static function of(ChainState $chain, RidingHabit $habit, DateTimeZone $zone): ?self
    {
        if ($chain->wax->life === null || !$chain->wax->known || $habit->weeklyKm <= 0.0) {
            return null;
        }
        $leftKm = $habit->rideableKm($chain);
        $today = LocalDay::of($chain->nowS, $zone);
        $weekday = $today->weekday();
        if ($habit->usualKm === []) {
            $days = (int) floor((7 * $leftKm) / $habit->weeklyKm + Check::EPSILON);

            return $days > self::HORIZON_DAYS ? null : new self($today->plus($days)->date, null, null, $habit->weeklyKm, $days);
        }
        $km = array_map(
            fn(int $ahead) => $ahead === 0 && $habit->riddenToday ? 0.0 : $habit->usualOn((($weekday + $ahead - 1) % 7) + 1),
            range(0, self::HORIZON_DAYS),
        );

        return self::along(
            $chain,
            $habit,
            $km,
            array_map(fn(int $ahead) => $habit->riddenOn((($weekday + $ahead - 1) % 7) + 1), range(0, self::HORIZON_DAYS)),
            $zone,
        );
    }

    /**
     * By what is planned to be ridden, day by day from today.
     *
     * @param list<float> $km effective km
     * @param list<float> $ridden the same as ridden
     *
     * @return self|null null without wax or knowledge of it, or where the wax outlasts those days
     */
    public static function along(ChainState $chain, RidingHabit $habit, array $km, array $ridden, DateTimeZone $zone): ?self
    {
        if ($chain->wax->life === null || !$chain->wax->known) {
            return null;
        }
        $leftKm = $habit->rideableKm($chain);
        $today = LocalDay::of($chain->nowS, $zone);
        foreach ($km as $ahead => $takesKm) {
            if ($takesKm > $leftKm + Check::EPSILON) {
                return new self($today->plus($ahead)->date, $takesKm - $leftKm, $ridden[$ahead], $habit->weeklyKm, $ahead);
            }
            $leftKm -= $takesKm;
        }

        return null;
    }
}
