<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/**
 * A bike with what it will be ridden each day and its chains. It goes by effective km, by hours, or by both; what has no interval is
 * not looked at.
 */
final readonly class PlannedBike
{
    /**
     * @param list<float> $dailyKm effective, one for each day
     * @param non-empty-list<PlannedChain> $chains in the order of the rail
     * @param int $onBike place of the fitted chain in the list
     * @param list<float> $dailyHours one for each day; none without an interval in hours
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public string|int $id,
        public ?float $intervalKm,
        public array $dailyKm,
        public array $chains,
        public int $onBike,
        public ?float $intervalHours = null,
        public array $dailyHours = [],
    ) {
        $intervalKm === null || Check::positive('interval_km', $intervalKm);
        $intervalHours === null || Check::positive('interval_hours', $intervalHours);
        $intervalKm !== null ||
            $intervalHours !== null ||
            throw new InvalidInput('interval_km', 'must be there where there are no hours to go by');
        foreach ($dailyKm as $day => $km) {
            Check::notNegative("daily_km.{$day}", $km);
        }
        foreach ($dailyHours as $day => $hours) {
            Check::notNegative("daily_hours.{$day}", $hours);
        }
        $intervalHours === null ||
            count($dailyHours) === count($dailyKm) ||
            throw new InvalidInput('daily_hours', 'must be one for each day');
        count(array_unique(array_map(fn(PlannedChain $chain) => $chain->id, $chains))) === count($chains) ||
            throw new InvalidInput('chains', 'must each have an id of its own');
    }

    public static function from(Fields $in): self
    {
        $in->only('id', 'interval_km', 'interval_hours', 'daily_km', 'daily_hours', 'chains', 'on_bike');
        $chains = Check::notEmpty('chains', $in->list('chains', PlannedChain::from(...)));
        $onBike = array_search($in->id('on_bike'), array_map(fn(PlannedChain $chain) => $chain->id, $chains), true);
        is_int($onBike) && $chains[$onBike]->bare && throw new InvalidInput('on_bike', 'must not be bare: what is bare cannot be ridden');
        $intervalHours = $in->has('interval_hours') ? $in->numberOrNull('interval_hours') : null;
        $in->has('daily_hours') &&
            !$in->has('interval_hours') &&
            throw new InvalidInput('interval_hours', 'must be there where there are daily_hours');

        return new self(
            $in->id('id'),
            $in->numberOrNull('interval_km'),
            $in->numbers('daily_km'),
            $chains,
            is_int($onBike) ? $onBike : throw new InvalidInput('on_bike', 'must be one of its chains'),
            $intervalHours,
            $in->has('daily_hours') || $intervalHours !== null ? $in->numbers('daily_hours') : [],
        );
    }

    /** @return non-empty-list<string|int> its chains by name, in the order of the rail */
    public function ids(): array
    {
        return array_map(fn(PlannedChain $chain) => $chain->id, $this->chains);
    }

    /** Whether not every pot day dips just any chain of it. */
    public function choosy(): bool
    {
        return array_filter($this->chains, fn(PlannedChain $chain) => $chain->dipFrom > 0 || $chain->notOn !== []) !== [];
    }

    /** How much of a coat so many km and hours are, 1 fresh: by what runs out first. */
    public function coat(?float $leftKm, ?float $leftHours): float
    {
        return min(
            $this->intervalKm === null || $leftKm === null ? INF : $leftKm / $this->intervalKm,
            $this->intervalHours === null || $leftHours === null ? INF : $leftHours / $this->intervalHours,
        );
    }

    /**
     * The same bike on other rides.
     *
     * @param list<float> $dailyKm effective
     * @param list<float> $dailyHours
     */
    public function riding(array $dailyKm, array $dailyHours): self
    {
        return new self($this->id, $this->intervalKm, $dailyKm, $this->chains, $this->onBike, $this->intervalHours, $dailyHours);
    }

    /** The same without the ride of a day. */
    public function resting(int $day): self
    {
        [$km, $hours] = [$this->dailyKm, $this->dailyHours];
        $km[$day] = 0.0;
        $hours === [] || ($hours[$day] = 0.0);

        return $this->riding(array_values($km), array_values($hours));
    }

    /** The same with one more chain, fresh. */
    public function withChain(string|int $id): self
    {
        return new self(
            $this->id,
            $this->intervalKm,
            $this->dailyKm,
            [...$this->chains, new PlannedChain($id, 0.0)],
            $this->onBike,
            $this->intervalHours,
            $this->dailyHours,
        );
    }
}
