<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A plan as it was made, and the weeks that each bike was ridden before: any of them may come again. */
final readonly class PlanRiskInput
{
    /** Any: the same plan is to come to the same again. */
    private const SEED = 1;

    public const RUNS = 2000;

    public const MOST_RUNS = 100_000;

    private const WEEK = 7;

    /**
     * @param array<int, list<string|int>> $dips by pot day: the chains
     * @param array<array-key, list<list<float>>> $weeks by bike: seven effective distances each, from Monday; none: as planned
     * @param int $startWeekday of day 0: 0 is Monday
     * @param array<array-key, float> $hoursPerKm by bike, for those that go by hours
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public PotDaysInput $plan,
        public array $dips,
        public array $weeks,
        public int $startWeekday,
        public int $runs = self::RUNS,
        public int $seed = self::SEED,
        public array $hoursPerKm = [],
    ) {
        Check::between('start_weekday', $startWeekday, 0, self::WEEK - 1);
        Check::between('runs', $runs, 1, self::MOST_RUNS);
        $chains = array_merge(...array_map(fn(PlannedBike $bike) => $bike->ids(), $plan->bikes));
        foreach (array_keys($dips) as $n => $day) {
            ($day >= 0 && $day < $plan->days) ||
                throw new InvalidInput("pot_days.{$n}.day", "must be one of the {$plan->days} days, the first is 0");
            foreach ($dips[$day] as $m => $chain) {
                in_array($chain, $chains, true) || throw new InvalidInput("pot_days.{$n}.dips.{$m}", 'must be a chain of the plan');
            }
        }
        $bikes = array_map(fn(PlannedBike $bike) => (string) $bike->id, $plan->bikes);
        foreach (['weeks' => $weeks, 'hours_per_km' => $hoursPerKm] as $field => $by) {
            foreach (array_keys($by) as $bike) {
                in_array((string) $bike, $bikes, true) || throw new InvalidInput("{$field}.{$bike}", 'must be a bike of the plan');
            }
        }
        foreach ($plan->bikes as $bike) {
            isset($weeks[$bike->id]) || throw new InvalidInput("weeks.{$bike->id}", 'is missing; an empty list stands for what is planned');
            $bike->intervalHours === null ||
                $weeks[$bike->id] === [] ||
                isset($hoursPerKm[$bike->id]) ||
                throw new InvalidInput("hours_per_km.{$bike->id}", 'is missing: the bike goes by hours');
            foreach ($weeks[$bike->id] as $n => $week) {
                count($week) === self::WEEK || throw new InvalidInput("weeks.{$bike->id}.{$n}", 'must be seven distances, from Monday');
                foreach ($week as $day => $km) {
                    Check::notNegative("weeks.{$bike->id}.{$n}.{$day}", $km);
                }
            }
        }
        foreach ($hoursPerKm as $bike => $hours) {
            Check::notNegative("hours_per_km.{$bike}", $hours);
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('plan', 'pot_days', 'weeks', 'start_weekday', 'runs', 'seed', 'hours_per_km');
        $dips = [];
        foreach (
            $in->list('pot_days', fn(Fields $pot) => [$pot->only('day', 'dips')->whole('day'), $pot->ids('dips')])
            as $n => [$day, $chains]
        ) {
            !isset($dips[$day]) || throw new InvalidInput("pot_days.{$n}.day", 'must be its own: the pot is hot once a day');
            $dips[$day] = $chains;
        }

        return new self(
            $in->nested('plan', PotDaysInput::from(...)),
            $dips,
            $in->nested('weeks', fn(Fields $weeks) => self::byBike($weeks, fn(string $bike) => $weeks->rows($bike))),
            $in->whole('start_weekday'),
            $in->wholeOrNull('runs') ?? self::RUNS,
            $in->wholeOrNull('seed') ?? self::SEED,
            $in->has('hours_per_km') ? $in->nested('hours_per_km', fn(Fields $hours) => self::byBike($hours, $hours->number(...))) : [],
        );
    }

    /**
     * @template T
     *
     * @param callable(string): T $read
     *
     * @return array<array-key, T>
     */
    private static function byBike(Fields $in, callable $read): array
    {
        $by = [];
        foreach ($in->names() as $bike) {
            $by[$bike] = $read($bike);
        }

        return $by;
    }
}
