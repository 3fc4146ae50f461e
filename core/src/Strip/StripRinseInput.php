<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** Baths of one volume, or a total that is split evenly; so many washes, or as few as reach a fraction. ml and grams. */
final readonly class StripRinseInput
{
    /** What a drained chain carries from one bath into the next: house rule. */
    public const CARRY_OVER_ML = 15.0;

    /** Storage grease on a new chain: house rule. */
    public const START_G = 8.0;

    /**
     * @throws InvalidInput at `volume_ml` or `total_ml` unless above 0 and just one of them, at `washes` unless 1 to 100,000 or
     *                      `target_fraction` unless between 0 and 1 and just one of them, at `carry_over_ml` if below 0,
     *                      at `start_g` unless above 0
     */
    public function __construct(
        public ?float $volumeMl,
        public ?float $totalMl,
        public ?int $washes,
        public ?float $targetFraction,
        public float $carryOverMl = self::CARRY_OVER_ML,
        public float $startG = self::START_G,
    ) {
        ($volumeMl === null) !== ($totalMl === null) || throw new InvalidInput('volume_ml', 'or total_ml must be there, one of the two');
        ($washes === null) !== ($targetFraction === null) ||
            throw new InvalidInput('washes', 'or target_fraction must be there, one of the two');
        $volumeMl === null || Check::positive('volume_ml', $volumeMl);
        $totalMl === null || Check::positive('total_ml', $totalMl);
        $washes === null || Check::between('washes', $washes, 1, StripRinse::MOST_WASHES);
        if ($targetFraction !== null && Check::positive('target_fraction', $targetFraction) >= 1) {
            throw new InvalidInput('target_fraction', 'must be below 1');
        }
        Check::notNegative('carry_over_ml', $carryOverMl);
        Check::positive('start_g', $startG);
    }

    public static function from(Fields $in): self
    {
        $in->only('volume_ml', 'total_ml', 'carry_over_ml', 'washes', 'target_fraction', 'start_g');

        return new self(
            $in->has('volume_ml') ? $in->number('volume_ml') : null,
            $in->has('total_ml') ? $in->number('total_ml') : null,
            $in->has('washes') ? $in->whole('washes') : null,
            $in->has('target_fraction') ? $in->number('target_fraction') : null,
            $in->number('carry_over_ml', self::CARRY_OVER_ML),
            $in->number('start_g', self::START_G),
        );
    }

    /** What of the grease one of so many washes leaves, as a fraction. */
    public function keptEach(int $washes): float
    {
        return $this->carryOverMl / ($this->solventMl($washes) / $washes + $this->carryOverMl);
    }

    public function solventMl(int $washes): float
    {
        return $this->totalMl ?? (float) $this->volumeMl * $washes;
    }
}
