<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/**
 * How much lamp oil makes a wax softer, by mass fraction: m·(target − fraction) / (1 − target). Common practice: a cold blade
 * is dipped and set; if the wax on it does not smear under a finger, a little oil is added. Grams, fractions of 1.
 */
final readonly class LampOil
{
    /** House rule: by so much of the whole the oil is raised each time it does not smear. */
    public const STEP = 0.01;

    /** House rule: past that more oil does not make a wax of it again. */
    public const MOST = 0.15;

    /**
     * @param float $massG wax and oil together
     *
     * @throws InvalidInput at `mass_g` unless above 0, at `oil_fraction` unless 0 to below 1, at `target` unless above it and below 1
     */
    public static function toAddG(float $massG, float $oilFraction, float $target): float
    {
        Check::positive('mass_g', $massG);
        ($oilFraction >= 0.0 && $oilFraction < 1.0) || throw new InvalidInput('oil_fraction', 'must be 0 or more and below 1');
        ($target > $oilFraction && $target < 1.0) || throw new InvalidInput('target', 'must be above the fraction there is and below 1');

        return ($massG * ($target - $oilFraction)) / (1 - $target);
    }

    /**
     * What is added the first, second … time that it does not smear.
     *
     * @return list<float> g
     */
    public static function stepsG(float $massG, float $oilFraction, int $times): array
    {
        $steps = [];
        for ($i = 0; $i < $times && $oilFraction + self::STEP <= self::MOST + Check::EPSILON; $i++) {
            $steps[] = $addG = self::toAddG($massG, $oilFraction, $oilFraction + self::STEP);
            $massG += $addG;
            $oilFraction += self::STEP;
        }

        return $steps;
    }
}
