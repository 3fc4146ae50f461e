<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One wax cycle, from its dip: the interval in km and optionally hours, rides in order, top-ups between them. */
final readonly class WaxLifeInput
{
    /**
     * @param list<WaxRide> $rides
     * @param list<WaxTopUp> $topUps
     *
     * @throws InvalidInput at `interval_km` or `interval_hours` unless above 0, at `topups.N.after_ride` beyond the last ride
     */
    public function __construct(
        public float $intervalKm,
        public ?float $intervalHours,
        public array $rides,
        public array $topUps = [],
    ) {
        Check::positive('interval_km', $intervalKm);
        $intervalHours === null || Check::positive('interval_hours', $intervalHours);
        foreach ($topUps as $index => $topUp) {
            if ($topUp->afterRide >= count($rides)) {
                throw new InvalidInput("topups.{$index}.after_ride", 'must not be beyond the last ride, counted from 0');
            }
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('interval_km', 'interval_hours', 'rides', 'factors', 'topups');
        $factors = $in->has('factors') ? $in->nested('factors', Factors::from(...)) : Factors::houseRule();

        return new self(
            $in->number('interval_km'),
            $in->numberOrNull('interval_hours'),
            $in->list('rides', fn(Fields $ride) => WaxRide::from($ride, $factors)),
            $in->has('topups') ? $in->list('topups', WaxTopUp::from(...)) : [],
        );
    }
}
