<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** km; null: nothing was learned, or no life is wanted. The factor: how this chain lives against the curve. */
final readonly class IntervalAdviseInput
{
    /** @throws InvalidInput at the field unless above 0 */
    public function __construct(
        public float $capKm,
        public ?float $learnedKm,
        public ?float $targetLifeKm,
        public float $lifeFactor,
        public LifeCurve $curve,
    ) {
        Check::positive('cap_km', $capKm);
        $learnedKm === null || Check::positive('learned_km', $learnedKm);
        $targetLifeKm === null || Check::positive('target_life_km', $targetLifeKm);
        Check::positive('life_factor', $lifeFactor);
    }

    public static function from(Fields $in): self
    {
        $in->only('cap_km', 'learned_km', 'target_life_km', 'life_factor', 'life_points');

        return new self(
            $in->number('cap_km'),
            $in->numberOrNull('learned_km'),
            $in->numberOrNull('target_life_km'),
            $in->number('life_factor'),
            LifeCurve::in($in),
        );
    }
}
