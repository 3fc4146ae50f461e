<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/**
 * By which rules a rider goes: the interval, how many chains a bike, their order, the limit (null: each bike's own), and whether there is a
 * pot at all.
 */
final readonly class SimulatedPolicy
{
    public function __construct(
        public float $intervalKm,
        public Rotation $rotation = Rotation::Even,
        /** Null: as many as there are. */
        public ?int $chains = null,
        public ?float $limitPct = null,
        public bool $dripOnly = false,
        /** The wax interval that a chain wears as with; null: the interval itself. */
        public ?float $wearsAsKm = null,
        public DipRule $dips = DipRule::Used,
    ) {
        $wearsAsKm === null || Check::positive('wears_as_km', $wearsAsKm);
        Check::positive('interval_km', $intervalKm);
        $chains === null || Check::between('chains', $chains, 1, 12);
        $limitPct === null || Check::positive('limit_pct', $limitPct);
    }

    /** The same, wearing its chains as a wax interval does. */
    public function wearingAs(float $km): self
    {
        return new self($this->intervalKm, $this->rotation, $this->chains, $this->limitPct, $this->dripOnly, $km, $this->dips);
    }

    /** The same with another rule for which chains a pot day dips. */
    public function dipping(DipRule $dips): self
    {
        return new self($this->intervalKm, $this->rotation, $this->chains, $this->limitPct, $this->dripOnly, $this->wearsAsKm, $dips);
    }

    public static function from(Fields $in): self
    {
        $in->only('interval_km', 'rotation', 'chains', 'limit_pct', 'drip_only', 'wears_as_km', 'dips');

        return new self(
            $in->number('interval_km'),
            $in->has('rotation') ? $in->choice('rotation', Rotation::class) : Rotation::Even,
            $in->wholeOrNull('chains'),
            $in->has('limit_pct') ? $in->numberOrNull('limit_pct') : null,
            $in->has('drip_only') && $in->yesOrNo('drip_only'),
            $in->has('wears_as_km') ? $in->numberOrNull('wears_as_km') : null,
            $in->has('dips') ? $in->choice('dips', DipRule::class) : DipRule::Used,
        );
    }
}
