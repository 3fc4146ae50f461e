<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** The small lidded box that a tightly coiled chain is laid into. mm, ml; common practice for the volume: some 40 to 80 ml. */
final readonly class DripBox
{
    /** So deep the wax stands over a coil that lies on its side: house rule. */
    private const COVER_MM = 12.0;

    private const STEEL_G_PER_ML = 7.85;

    private const LEAST_MM = 70.0;

    private const MOST_MM = 200.0;

    /** @throws InvalidInput at `box_mm` unless 70 to 200 */
    public function __construct(public float $wideMm)
    {
        if (Check::finite('box_mm', $wideMm) < self::LEAST_MM || $wideMm > self::MOST_MM) {
            throw new InvalidInput(
                'box_mm',
                'must be 70 to 200 mm: a coiled chain fits in no smaller box, and a larger one takes too much',
            );
        }
    }

    /**
     * What has to be poured so that a chain of so many grams is just covered; a round box, its steel taken off.
     *
     * @throws InvalidInput at `box_mm` where the steel alone fills it so high: such a chain does not lie in it
     */
    public function coversMl(float $chainG): float
    {
        $ml = ((M_PI / 4) * $this->wideMm ** 2 * self::COVER_MM) / 1000 - $chainG / self::STEEL_G_PER_ML;

        return $ml > 0.0
            ? $ml
            : throw new InvalidInput('box_mm', sprintf('is too small for a chain of %.0f g: take a larger box', $chainG));
    }
}
