<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/**
 * What a chain, its strip, its link, a cassette and a re-wax cost, in one unit of money; minutes and what an hour is worth; which intervals
 * to look at, km.
 */
final readonly class IntervalEconomyInput
{
    /** Common practice: a cassette outlives four or five chains. */
    public const CHAINS_PER_CASSETTE = 4.0;

    private const MOST_ROWS = 10_000;

    /** @throws InvalidInput at the field: costs of 0 or more, the rest above 0, `max_km` at least `min_km` */
    public function __construct(
        public LifeCurve $curve,
        public float $chainCost,
        public float $rewaxCost,
        public float $lifeFactor = 1.0,
        public float $stripCost = 0.0,
        public float $quickLinkCost = 0.0,
        public float $cassetteCost = 0.0,
        public float $chainsPerCassette = self::CHAINS_PER_CASSETTE,
        public float $minutesPerRewax = 0.0,
        public float $hourValue = 0.0,
        public float $minKm = 100.0,
        public float $maxKm = 600.0,
        public float $stepKm = 5.0,
    ) {
        foreach (
            [
                'chain_cost' => $chainCost,
                'rewax_cost' => $rewaxCost,
                'strip_cost' => $stripCost,
                'quick_link_cost' => $quickLinkCost,
                'cassette_cost' => $cassetteCost,
                'minutes_per_rewax' => $minutesPerRewax,
                'hour_value' => $hourValue,
            ]
            as $field => $value
        ) {
            Check::notNegative($field, $value);
        }
        foreach (
            ['life_factor' => $lifeFactor, 'chains_per_cassette' => $chainsPerCassette, 'min_km' => $minKm, 'step_km' => $stepKm]
            as $field => $value
        ) {
            Check::positive($field, $value);
        }
        Check::finite('max_km', $maxKm) >= $minKm || throw new InvalidInput('max_km', 'must not be below min_km');
        ($maxKm - $minKm) / $stepKm < self::MOST_ROWS ||
            throw new InvalidInput('step_km', 'must be longer: that would be more than ' . self::MOST_ROWS . ' rows');
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'life_points',
            'life_factor',
            'chain_cost',
            'strip_cost',
            'quick_link_cost',
            'rewax_cost',
            'cassette_cost',
            'chains_per_cassette',
            'minutes_per_rewax',
            'hour_value',
            'min_km',
            'max_km',
            'step_km',
        );

        return new self(
            LifeCurve::in($in),
            $in->number('chain_cost'),
            $in->number('rewax_cost'),
            $in->number('life_factor', 1.0),
            $in->number('strip_cost', 0.0),
            $in->number('quick_link_cost', 0.0),
            $in->number('cassette_cost', 0.0),
            $in->number('chains_per_cassette', self::CHAINS_PER_CASSETTE),
            $in->number('minutes_per_rewax', 0.0),
            $in->number('hour_value', 0.0),
            $in->number('min_km', 100.0),
            $in->number('max_km', 600.0),
            $in->number('step_km', 5.0),
        );
    }
}
