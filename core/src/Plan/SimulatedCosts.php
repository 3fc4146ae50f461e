<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Interval\IntervalEconomyInput;

/**
 * What things cost, in one unit of money; a top-up's drip wax, a kilogram of wax, an hour of somebody's time. Stripping new chains
 * costs minutes too, those that are bought at once together.
 */
final readonly class SimulatedCosts
{
    public function __construct(
        public float $chain,
        public float $strip = 0.0,
        public float $quickLink = 0.0,
        public float $cassette = 0.0,
        public float $chainsPerCassette = IntervalEconomyInput::CHAINS_PER_CASSETTE,
        public float $waxKg = 0.0,
        public float $topUp = 0.0,
        public float $hour = 0.0,
        public float $stripMinutes = 0.0,
    ) {
        foreach (
            [
                'chain' => $chain,
                'strip' => $strip,
                'quick_link' => $quickLink,
                'cassette' => $cassette,
                'wax_kg' => $waxKg,
                'topup' => $topUp,
                'hour' => $hour,
                'strip_minutes' => $stripMinutes,
            ]
            as $field => $value
        ) {
            Check::notNegative($field, $value);
        }
        Check::positive('chains_per_cassette', $chainsPerCassette);
    }

    /** What a new chain comes to before it is ridden: itself, its link, and what stripping it by itself takes of solvent and of time. */
    public function newChain(): float
    {
        return $this->chain + $this->strip + $this->quickLink + $this->stripHands();
    }

    /** The time of a strip, however many chains go through the jars together, in money. */
    public function stripHands(): float
    {
        return ($this->stripMinutes / 60.0) * $this->hour;
    }

    public static function from(Fields $in): self
    {
        $in->only('chain', 'strip', 'quick_link', 'cassette', 'chains_per_cassette', 'wax_kg', 'topup', 'hour', 'strip_minutes');

        return new self(
            $in->number('chain'),
            $in->number('strip', 0.0),
            $in->number('quick_link', 0.0),
            $in->number('cassette', 0.0),
            $in->number('chains_per_cassette', IntervalEconomyInput::CHAINS_PER_CASSETTE),
            $in->number('wax_kg', 0.0),
            $in->number('topup', 0.0),
            $in->number('hour', 0.0),
            $in->number('strip_minutes', 0.0),
        );
    }
}
