<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** Chainstay in mm, teeth of the largest ring and the largest sprocket, or of the pair in use on a single speed. */
final readonly class ChainLengthInput
{
    private const FEWEST_TEETH = 5;

    /** More teeth than any ring has; what is more is a slip of the finger. */
    private const MOST_TEETH = 200;

    /**
     * @throws InvalidInput at `front_teeth` or `rear_teeth` unless 5 to 200, at `chainstay_mm` unless above the sum of
     *                      the two radii: ring and sprocket would touch
     */
    public function __construct(public float $chainstayMm, public int $frontTeeth, public int $rearTeeth, public bool $derailleur)
    {
        Check::between('front_teeth', $frontTeeth, self::FEWEST_TEETH, self::MOST_TEETH);
        Check::between('rear_teeth', $rearTeeth, self::FEWEST_TEETH, self::MOST_TEETH);
        if (Check::positive('chainstay_mm', $chainstayMm) <= $this->frontRadiusMm() + $this->rearRadiusMm()) {
            throw new InvalidInput(
                'chainstay_mm',
                sprintf('must be more than %.0f mm, or ring and sprocket would touch', $this->frontRadiusMm() + $this->rearRadiusMm()),
            );
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('chainstay_mm', 'front_teeth', 'rear_teeth', 'derailleur');

        return new self($in->number('chainstay_mm'), $in->whole('front_teeth'), $in->whole('rear_teeth'), $in->yesOrNo('derailleur'));
    }

    public function frontRadiusMm(): float
    {
        return Pitch::radiusMm($this->frontTeeth);
    }

    public function rearRadiusMm(): float
    {
        return Pitch::radiusMm($this->rearTeeth);
    }
}
