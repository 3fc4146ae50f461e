<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A pot of wax on its heater: grams, °C, W, W/K, J/K; efficiency is the part of the power that reaches the wax. */
final readonly class PotHeatInput
{
    /** The stoneware of a small slow cooker: house rule. */
    public const VESSEL_J_PER_K = 1400.0;

    /** What such a pot loses with its lid on, until it is calibrated: house rule. */
    public const LOSS_W_PER_K = 1.3;

    /** A garage in the cool season, where nobody measured: house rule. */
    public const AMBIENT_C = 18.0;

    /** A curve with more points than that is a slip of the step. */
    private const MOST_POINTS = 100_000;

    /**
     * @throws InvalidInput at the field: masses and steps above 0, temperatures not below absolute zero, efficiency in (0, 1], power, loss
     * and vessel not below 0
     */
    public function __construct(
        public float $waxG,
        public float $startC,
        public float $ambientC,
        public float $powerW,
        public float $lossWPerK,
        public float $targetC,
        public float $efficiency = 1.0,
        public float $vesselJPerK = self::VESSEL_J_PER_K,
        public WaxProperties $wax = new WaxProperties(),
        public float $stepMin = 1.0,
    ) {
        Check::positive('wax_g', $waxG);
        Check::temperature('start_c', $startC);
        Check::temperature('ambient_c', $ambientC);
        Check::notNegative('power_w', $powerW);
        Check::notNegative('loss_w_per_k', $lossWPerK);
        Check::temperature('target_c', $targetC);
        Check::notNegative('vessel_j_per_k', $vesselJPerK);
        if (Check::positive('efficiency', $efficiency) > 1.0) {
            throw new InvalidInput('efficiency', 'must be 1 or less');
        }
        if (PotHeat::CURVE_MIN / Check::positive('step_min', $stepMin) > self::MOST_POINTS) {
            throw new InvalidInput('step_min', 'makes a curve of more than 100,000 points; take a longer step');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'wax_g',
            'start_c',
            'ambient_c',
            'power_w',
            'efficiency',
            'loss_w_per_k',
            'vessel_j_per_k',
            'target_c',
            'wax',
            'step_min',
        );

        return new self(
            $in->number('wax_g'),
            $in->number('start_c'),
            $in->number('ambient_c'),
            $in->number('power_w'),
            $in->number('loss_w_per_k'),
            $in->number('target_c'),
            $in->number('efficiency', 1.0),
            $in->number('vessel_j_per_k', self::VESSEL_J_PER_K),
            WaxProperties::in($in),
            $in->number('step_min', 1.0),
        );
    }

    /** The same pot on another power. */
    public function on(float $powerW): self
    {
        return new self(
            $this->waxG,
            $this->startC,
            $this->ambientC,
            $powerW,
            $this->lossWPerK,
            $this->targetC,
            $this->efficiency,
            $this->vesselJPerK,
            $this->wax,
            $this->stepMin,
        );
    }

    /** The same pot with so much steel in it, which warms up as the vessel does. */
    public function withSteel(float $steelG): self
    {
        return new self(
            $this->waxG,
            $this->startC,
            $this->ambientC,
            $this->powerW,
            $this->lossWPerK,
            $this->targetC,
            $this->efficiency,
            $this->vesselJPerK + $steelG * PotDipInput::STEEL_J_PER_GK,
            $this->wax,
            $this->stepMin,
        );
    }

    public function course(): HeatCourse
    {
        return new HeatCourse(
            $this->wax,
            $this->waxG,
            $this->vesselJPerK,
            $this->efficiency * $this->powerW,
            $this->lossWPerK,
            $this->ambientC,
        );
    }
}
