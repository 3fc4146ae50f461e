<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\ChainState;

/**
 * The first day whose ride the wax of a chain will no longer carry, by what its bike is expected to be ridden: in effective km, in hours,
 * or in whichever of the two runs out first. An estimate: where nothing is planned it supposes that the next weeks are like the last eight.
 */
final readonly class GoodUntil
{
    /** So far it looks ahead at least. House rule. */
    public const DAYS = 57;

    /** @param list<array{string, float}> $taken the rides before it: the local day, and what each takes in km or, by hours, in hours */
    private function __construct(
        public string $date,
        /** What the wax will fall short of the ride of that day; null where it is not by km, or where no single ride is expected. */
        public ?float $shortKm,
        /** The same in hours, where it is by them. */
        public ?float $shortHours,
        /** That ride's own km and hours. */
        public float $rideKm,
        public float $rideHours,
        public int $daysAhead,
        public bool $byHours,
        public array $taken,
    ) {}

    /** How far it looks where a plan is made for so many days: whoever asks for it, the answer is the same. */
    public static function days(int $planned): int
    {
        return max($planned, self::DAYS);
    }

    /** @return self|null null without wax or knowledge of it, or where the wax outlasts those days */
    public static function of(ChainState $chain, RidingPlan $plan, LocalDay $today): ?self
    {
        $life = $chain->wax->life;
        if ($life === null || !$chain->wax->known) {
            return null;
        }
        $due = $life->due();
        $leftKm = $due ? 0.0 : $life->leftKm ?? INF;
        $leftHours = $due ? 0.0 : $life->leftHours ?? INF;
        foreach ($plan->km as $day => $km) {
            $hours = $plan->hours[$day];
            if ($km > $leftKm + Check::EPSILON || $hours > $leftHours + Check::EPSILON) {
                $byKm = $km > $leftKm + Check::EPSILON;
                $single = !$plan->spread[$day];

                return new self(
                    $today->plus($day)->date,
                    $byKm && $single ? $km - $leftKm : null,
                    !$byKm && $single ? $hours - $leftHours : null,
                    $plan->ridden[$day],
                    $hours,
                    $day,
                    !$byKm,
                    self::taken($byKm ? $plan->km : $plan->hours, $day, $today),
                );
            }
            [$leftKm, $leftHours] = [$leftKm - $km, $leftHours - $hours];
        }

        return null;
    }

    /**
     * @param list<float> $each
     *
     * @return list<array{string, float}>
     */
    private static function taken(array $each, int $days, LocalDay $today): array
    {
        $taken = array_filter(array_slice($each, 0, $days), fn(float $one) => $one > 0.0);

        return array_map(fn(int $day) => [$today->plus($day)->date, $taken[$day]], array_keys($taken));
    }
}
