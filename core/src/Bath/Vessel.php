<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** A round pot, in mm inside. */
final readonly class Vessel
{
    public function __construct(public float $diameterMm, public float $heightMm)
    {
        Check::positive('diameter_mm', $diameterMm);
        Check::positive('height_mm', $heightMm);
    }

    public static function from(Fields $in): self
    {
        $in->only('diameter_mm', 'height_mm');

        return new self($in->number('diameter_mm'), $in->number('height_mm'));
    }

    /** How high so many ml stand in it. */
    public function depthMm(float $ml): float
    {
        return (1000 * $ml) / ((M_PI / 4) * $this->diameterMm ** 2);
    }

    /** How many ml make so many mm. */
    public function ml(float $depthMm): float
    {
        return ((($depthMm * M_PI) / 4) * $this->diameterMm ** 2) / 1000;
    }
}
