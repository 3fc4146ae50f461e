<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\LifeCurve;

/** So many weeks of some bikes by one policy. */
final readonly class SimulateInput
{
    /** Ten years. */
    public const MOST_WEEKS = 520;

    /**
     * @param list<SimulatedBike> $bikes
     *
     * @throws InvalidInput at `weeks`, at `bikes` if there are none, at the id of a bike or chain that another one has
     */
    public function __construct(
        public int $weeks,
        public array $bikes,
        public SimulatedPolicy $policy,
        public SimulatedPot $pot,
        public SimulatedCosts $costs,
        public LifeCurve $curve,
    ) {
        Check::between('weeks', $weeks, 1, self::MOST_WEEKS);
        [$bikeIds, $chainIds] = [[], []];
        foreach (Check::notEmpty('bikes', $bikes) as $n => $bike) {
            !isset($bikeIds[(string) $bike->id]) || throw new InvalidInput("bikes.{$n}.id", 'must be its own: another bike has it');
            $bikeIds[(string) $bike->id] = true;
            foreach ($bike->chains as $m => $chain) {
                !isset($chainIds[(string) $chain['id']]) ||
                    throw new InvalidInput("bikes.{$n}.chains.{$m}.id", 'must be its own: another chain has it');
                $chainIds[(string) $chain['id']] = true;
            }
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('weeks', 'bikes', 'policy', 'pot', 'costs', 'life_points');

        return new self(
            $in->whole('weeks'),
            $in->list('bikes', SimulatedBike::from(...)),
            $in->nested('policy', SimulatedPolicy::from(...)),
            $in->nested('pot', SimulatedPot::from(...)),
            $in->nested('costs', SimulatedCosts::from(...)),
            LifeCurve::in($in),
        );
    }
}
