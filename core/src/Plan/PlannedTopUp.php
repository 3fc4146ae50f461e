<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** What a drip top-up gives (km) and takes (minutes), and how many a chain may have between two dips. */
final readonly class PlannedTopUp
{
    /** As often as it takes. */
    private const ALWAYS = 100_000;

    public const MOST = 1_000_000;

    /** @throws InvalidInput at `km` unless above 0, at `minutes` and `max_per_cycle` below 0 */
    public function __construct(
        public float $km,
        public float $minutes,
        public int $maxPerCycle,
        /** The first day whose ride one can serve: it is done the evening before, and has a night to dry. */
        public int $firstDay = 0,
    ) {
        Check::positive('km', $km);
        Check::notNegative('minutes', $minutes);
        Check::between('max_per_cycle', $maxPerCycle, 0, self::MOST);
    }

    /** Of a bike that lives on the bottle, as a rule from tomorrow on: each makes the chain as good as it gets. */
    public static function alone(float $intervalKm, float $minutes, int $firstDay = 1): self
    {
        return new self($intervalKm, $minutes, self::ALWAYS, $firstDay);
    }

    public static function from(Fields $in): self
    {
        $in->only('km', 'minutes', 'max_per_cycle');

        return new self($in->number('km'), $in->number('minutes'), $in->whole('max_per_cycle'));
    }
}
