<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * How often to wax: the smallest of the cap, the interval learned by ear, and the one with which the chain lives as long as is
 * wanted, going by how it really wears. km, unrounded. Source: the life points of LifeCurve (common practice).
 */
final readonly class IntervalAdvise implements Model
{
    public function __invoke(IntervalAdviseInput $in): IntervalAdviseResult
    {
        $best = new IntervalAdviseResult($in->capKm, AdviseBecause::Cap);
        foreach (
            [
                [$in->learnedKm, AdviseBecause::Noise],
                [$in->targetLifeKm === null ? null : $in->curve->intervalKm($in->targetLifeKm / $in->lifeFactor), AdviseBecause::Wear],
            ]
            as [$km, $because]
        ) {
            if ($km !== null && $km < $best->intervalKm - Check::EPSILON) {
                $best = new IntervalAdviseResult($km, $because);
            }
        }

        return $best;
    }

    public function compute(Fields $input): array
    {
        return $this(IntervalAdviseInput::from($input))->toArray();
    }

    /** How much longer or shorter a chain lives than expected at the interval that it was really ridden: (limit ÷ rate · 1000) ÷ life. */
    public static function lifeFactor(float $limitPct, float $ratePctPer1000Km, float $riddenIntervalKm, LifeCurve $curve): float
    {
        return (1000.0 * Check::positive('limit_pct', $limitPct)) /
            Check::positive('rate', $ratePctPer1000Km) /
            $curve->lifeKm(Check::positive('interval_km', $riddenIntervalKm));
    }
}
