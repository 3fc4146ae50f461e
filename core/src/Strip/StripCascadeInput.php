<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The two jars in ml, what each chain brings in grams, how many chains, and what may be left on one (null: no limit). */
final readonly class StripCascadeInput
{
    private const MOST_CHAINS = 10_000;

    /**
     * @throws InvalidInput at `dirty_ml`, `clean_ml`, `load_g` or `limit_g` unless above 0, at `carry_over_ml` if below 0, at
     *                      `chains` unless 1 to 10,000
     */
    public function __construct(
        public float $dirtyMl,
        public float $cleanMl,
        public float $loadG,
        public int $chains,
        public float $carryOverMl = StripRinseInput::CARRY_OVER_ML,
        public ?float $limitG = null,
    ) {
        Check::positive('dirty_ml', $dirtyMl);
        Check::positive('clean_ml', $cleanMl);
        Check::positive('load_g', $loadG);
        Check::notNegative('carry_over_ml', $carryOverMl);
        Check::between('chains', $chains, 1, self::MOST_CHAINS);
        $limitG === null || Check::positive('limit_g', $limitG);
    }

    public static function from(Fields $in): self
    {
        $in->only('dirty_ml', 'clean_ml', 'carry_over_ml', 'load_g', 'chains', 'limit_g');

        return new self(
            $in->number('dirty_ml'),
            $in->number('clean_ml'),
            $in->number('load_g'),
            $in->whole('chains'),
            $in->number('carry_over_ml', StripRinseInput::CARRY_OVER_ML),
            $in->has('limit_g') ? $in->numberOrNull('limit_g') : null,
        );
    }
}
