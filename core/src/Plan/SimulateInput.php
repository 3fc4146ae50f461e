<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Interval\LifeCurve;

/** So many weeks of some bikes by one policy. */
final readonly class SimulateInput
{
    /** Ten years. */
    public const MOST_WEEKS = 520;

    /** @param list<SimulatedBike> $bikes */
    public function __construct(
        public int $weeks,
        public array $bikes,
        public SimulatedPolicy $policy,
        public SimulatedPot $pot,
        public SimulatedCosts $costs,
        public LifeCurve $curve,
    ) {
        Check::between('weeks', $weeks, 1, self::MOST_WEEKS);
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
