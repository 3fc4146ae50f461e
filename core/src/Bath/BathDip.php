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

    public function __construct(public float $massG, public ?float $pickupG, public float $effectiveKm, public bool $rinsed)
    {
        Check::positive('mass_g', $massG);
        $pickupG === null || Check::notNegative('pickup_g', $pickupG);
        Check::notNegative('effective_km', $effectiveKm);
    }

    public static function from(Fields $in): self
    {
        $in->only('mass_g', 'pickup_g', 'effective_km', 'rinsed');

        return new self(
            $in->number('mass_g'),
            $in->has('pickup_g') ? $in->numberOrNull('pickup_g') : null,
            $in->number('effective_km'),
            $in->yesOrNo('rinsed'),
        );
    }
}
