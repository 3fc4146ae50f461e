<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A ride as the wax feels it: km and hours ≥ 0, and the factor that was in force for its condition. */
final readonly class WaxRide
{
    public float $effectiveKm;

    /** @throws InvalidInput at `km` or `hours` unless 0 or more */
    public function __construct(
        public float $km,
        /** Null: nobody knows. */
        public ?float $hours,
        public Condition $condition,
        public float $factor,
    ) {
        Check::notNegative('km', $km);
        $hours === null || Check::notNegative('hours', $hours);
        $this->effectiveKm = $km * $factor;
    }

    public static function from(Fields $in, Factors $factors): self
    {
        $in->only('km', 'hours', 'condition');
        $condition = $in->choice('condition', Condition::class);

        return new self($in->number('km'), $in->numberOrNull('hours'), $condition, $factors->of($condition));
    }
}
