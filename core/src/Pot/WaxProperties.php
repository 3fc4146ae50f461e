<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/**
 * How a wax takes up heat: specific heats in J/(g·K), latent heat in J/g, melting range in °C. The defaults are those of
 * plain paraffin; densities in g/ml. Source: handbooks; NIOSH for the melting range (memory).
 */
final readonly class WaxProperties
{
    public const SOLID_G_PER_ML = 0.9;

    public const LIQUID_G_PER_ML = 0.77;

    /** @throws InvalidInput at the field unless heats are above 0, at `melt_to_c` unless above `melt_from_c` */
    public function __construct(
        public float $solidJPerGk = 2.1,
        public float $liquidJPerGk = 2.2,
        public float $latentJPerG = 200.0,
        public float $meltFromC = 52.0,
        public float $meltToC = 58.0,
    ) {
        Check::positive('solid_j_per_gk', $solidJPerGk);
        Check::positive('liquid_j_per_gk', $liquidJPerGk);
        Check::positive('latent_j_per_g', $latentJPerG);
        Check::temperature('melt_from_c', $meltFromC);
        if (Check::temperature('melt_to_c', $meltToC) <= $meltFromC) {
            throw new InvalidInput('melt_to_c', 'must be above melt_from_c');
        }
    }

    /** What is left out keeps its default. */
    public static function from(Fields $in): self
    {
        $in->only('solid_j_per_gk', 'liquid_j_per_gk', 'latent_j_per_g', 'melt_from_c', 'melt_to_c');
        $default = new self();

        return new self(
            $in->number('solid_j_per_gk', $default->solidJPerGk),
            $in->number('liquid_j_per_gk', $default->liquidJPerGk),
            $in->number('latent_j_per_g', $default->latentJPerG),
            $in->number('melt_from_c', $default->meltFromC),
            $in->number('melt_to_c', $default->meltToC),
        );
    }

    public static function in(Fields $in): self
    {
        return $in->has('wax') ? $in->nested('wax', self::from(...)) : new self();
    }

    /** From 0, all solid, to 1, all liquid. */
    public function liquidFraction(float $celsius): float
    {
        return max(0.0, min(1.0, ($celsius - $this->meltFromC) / ($this->meltToC - $this->meltFromC)));
    }

    /**
     * Of so many grams with something beside them (J/K), below, within and above the melting range.
     *
     * @return array{float, float, float} J/K
     */
    public function heatCapacities(float $waxG, float $besideJPerK): array
    {
        return [
            $waxG * $this->solidJPerGk + $besideJPerK,
            $waxG * (($this->solidJPerGk + $this->liquidJPerGk) / 2 + $this->latentJPerG / ($this->meltToC - $this->meltFromC)) +
            $besideJPerK,
            $waxG * $this->liquidJPerGk + $besideJPerK,
        ];
    }

    /**
     * The temperature at which so much wax, with something beside it, has so many joules less; less than 0: more.
     * The melting range is walked through, whichever side it starts from.
     */
    public function cooledBy(float $joule, float $waxG, float $besideJPerK, float $celsius): float
    {
        [$below, $within, $above] = $this->heatCapacities($waxG, $besideJPerK);
        foreach ([[$above, $this->meltToC], [$within, $this->meltFromC]] as [$capacity, $edgeC]) {
            if ($celsius < $edgeC) {
                continue;
            }
            $holdsJ = $capacity * ($celsius - $edgeC);
            if ($joule <= $holdsJ) {
                return $celsius - $joule / $capacity;
            }
            $joule -= $holdsJ;
            $celsius = $edgeC;
        }

        return $celsius - $joule / $below;
    }
}
