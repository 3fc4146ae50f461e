<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One wax cycle, from its dip: the interval in km, in hours, or both; rides in order, top-ups between them. */
final readonly class WaxLifeInput
{
    /**
     * @param list<WaxRide> $rides
     * @param list<WaxTopUp> $topUps
     *
     * @param float|null $hoursPerKm what a ride without hours took by the km
     *
     * @throws InvalidInput at `interval_km` or `interval_hours` unless above 0 and one of them given, at `hours_per_km` below 0, at
     *                      `rides.N.hours` where hours count and nobody knows them, at `topups.N.after_ride` beyond the last ride
     */
    public function __construct(
        public ?float $intervalKm,
        public ?float $intervalHours,
        public array $rides,
        public array $topUps = [],
        public ?float $hoursPerKm = null,
    ) {
        $intervalKm !== null || $intervalHours !== null || throw new InvalidInput('interval_km', 'must be given, or interval_hours');
        $intervalKm === null || Check::positive('interval_km', $intervalKm);
        $hoursPerKm === null || Check::notNegative('hours_per_km', $hoursPerKm);
        foreach ($intervalHours === null || $hoursPerKm !== null ? [] : $rides as $index => $ride) {
            $ride->hours !== null || throw new InvalidInput("rides.{$index}.hours", 'must be given where hours count, or hours_per_km');
        }
        $intervalHours === null || Check::positive('interval_hours', $intervalHours);
        foreach ($topUps as $index => $topUp) {
            if ($topUp->afterRide >= count($rides)) {
                throw new InvalidInput("topups.{$index}.after_ride", 'must not be beyond the last ride, counted from 0');
            }
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('interval_km', 'interval_hours', 'rides', 'factors', 'hours_per_km', 'topups');
        $factors = $in->has('factors') ? $in->nested('factors', Factors::from(...)) : Factors::houseRule();

        return new self(
            $in->numberOrNull('interval_km'),
            $in->numberOrNull('interval_hours'),
            $in->list('rides', fn(Fields $ride) => WaxRide::from($ride, $factors)),
            $in->has('topups') ? $in->list('topups', WaxTopUp::from(...)) : [],
            $in->has('hours_per_km') ? $in->numberOrNull('hours_per_km') : null,
        );
    }
}
