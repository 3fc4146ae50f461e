<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A bike with what it will be ridden each day and its chains with what each has used of its wax. Effective km. */
final readonly class PlannedBike
{
    /**
     * @param list<float> $dailyKm one for each day
     * @param non-empty-list<string|int> $chains in the order of the rail
     * @param list<float> $usedKm of each chain, at most the interval counts
     * @param int $onBike place of the fitted chain in the list
     * @param list<bool> $bare chains that cannot be ridden before their first dip
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public string|int $id,
        public float $intervalKm,
        public array $dailyKm,
        public array $chains,
        public array $usedKm,
        public int $onBike,
        public array $bare = [],
        /** @var list<int> top-ups that each chain has had since its last dip */
        public array $topUps = [],
    ) {
        Check::positive('interval_km', $intervalKm);
        foreach ($dailyKm as $day => $km) {
            Check::notNegative("daily_km.{$day}", $km);
        }
        foreach ($usedKm as $n => $km) {
            Check::notNegative("chains.{$n}.used_km", $km);
        }
        count(array_unique($chains)) === count($chains) || throw new InvalidInput('chains', 'must each have an id of its own');
    }

    public static function from(Fields $in): self
    {
        $in->only('id', 'interval_km', 'daily_km', 'chains', 'on_bike');
        $chains = Check::notEmpty('chains', $in->list('chains', function (Fields $chain): array {
            $chain->only('id', 'used_km');

            return [$chain->id('id'), $chain->number('used_km')];
        }));
        $ids = array_column($chains, 0);
        $onBike = array_search($in->id('on_bike'), $ids, true);

        return new self($in->id('id'), $in->number('interval_km'), $in->numbers('daily_km'), $ids, array_column($chains, 1), is_int($onBike) ? $onBike : throw new InvalidInput('on_bike', 'must be one of its chains'));
    }
}
