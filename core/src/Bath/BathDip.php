<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** One chain in the bath: its mass, what wax it took along (null: not weighed), what it was ridden since its last dip. g, km. */
final readonly class BathDip
{
    /** The mass of a chain that nobody weighed: house rule. */
    public const CHAIN_G = 250.0;

    public function __construct(
        public float $massG,
        public ?float $pickupG,
        public float $effectiveKm,
        public bool $rinsed,
        /** What it takes along as a rule, where this dip was not weighed; null: what the others of its batch took. */
        public ?float $usualG = null,
    ) {
        Check::positive('mass_g', $massG);
        $pickupG === null || Check::notNegative('pickup_g', $pickupG);
        $usualG === null || Check::notNegative('usual_g', $usualG);
        Check::notNegative('effective_km', $effectiveKm);
    }

    public static function from(Fields $in): self
    {
        $in->only('mass_g', 'pickup_g', 'effective_km', 'rinsed', 'usual_g');

        return new self(
            $in->number('mass_g'),
            $in->has('pickup_g') ? $in->numberOrNull('pickup_g') : null,
            $in->number('effective_km'),
            $in->yesOrNo('rinsed'),
            $in->has('usual_g') ? $in->numberOrNull('usual_g') : null,
        );
    }
}
