<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A molten bath and the chains that go into it together: g, °C, J/(g·K), mm²/g, W/(m²·K), W. */
final readonly class PotDipInput
{
    /** Steel, J/(g·K): handbooks (memory). */
    public const STEEL_J_PER_GK = 0.49;

    /**
     * @param list<DippedChain> $chains
     *
     * @throws InvalidInput at `bath_c` below the end of the melting range, at `chains` if empty, at the other fields unless above 0
     *                      (vessel, power and loss: not below 0)
     */
    public function __construct(
        public float $waxG,
        public float $bathC,
        public array $chains,
        public float $steelJPerGk = self::STEEL_J_PER_GK,
        public WaxProperties $wax = new WaxProperties(),
        public float $vesselJPerK = PotHeatInput::VESSEL_J_PER_K,
        /** Surface of a chain for each gram of it: house rule. */
        public float $chainAreaMm2PerG = 230.0,
        /** Heat that passes from the bath into the steel: house rule. */
        public float $filmWPerM2k = 200.0,
        public float $powerW = 0.0,
        public float $lossWPerK = 0.0,
        public float $ambientC = 20.0,
        public float $withinC = 1.0,
    ) {
        Check::positive('wax_g', $waxG);
        if (Check::temperature('bath_c', $bathC) < $wax->meltToC) {
            throw new InvalidInput('bath_c', sprintf('must be %g or more: the bath has to be molten', $wax->meltToC));
        }
        Check::notEmpty('chains', $chains);
        Check::positive('steel_j_per_gk', $steelJPerGk);
        Check::notNegative('vessel_j_per_k', $vesselJPerK);
        Check::positive('chain_area_mm2_per_g', $chainAreaMm2PerG);
        Check::positive('film_w_per_m2k', $filmWPerM2k);
        Check::notNegative('power_w', $powerW);
        Check::notNegative('loss_w_per_k', $lossWPerK);
        Check::temperature('ambient_c', $ambientC);
        Check::positive('within_c', $withinC);
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'wax_g',
            'bath_c',
            'chains',
            'steel_j_per_gk',
            'wax',
            'vessel_j_per_k',
            'chain_area_mm2_per_g',
            'film_w_per_m2k',
            'power_w',
            'loss_w_per_k',
            'ambient_c',
            'within_c',
        );

        return new self(
            $in->number('wax_g'),
            $in->number('bath_c'),
            $in->list('chains', DippedChain::from(...)),
            $in->number('steel_j_per_gk', self::STEEL_J_PER_GK),
            WaxProperties::in($in),
            $in->number('vessel_j_per_k', PotHeatInput::VESSEL_J_PER_K),
            $in->number('chain_area_mm2_per_g', 230.0),
            $in->number('film_w_per_m2k', 200.0),
            $in->number('power_w', 0.0),
            $in->number('loss_w_per_k', 0.0),
            $in->number('ambient_c', 20.0),
            $in->number('within_c', 1.0),
        );
    }

    /** J/K of all the chains together. */
    public function steelJPerK(): float
    {
        return array_sum(array_map(fn(DippedChain $chain) => $chain->massG * $this->steelJPerGk, $this->chains));
    }
}
