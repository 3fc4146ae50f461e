<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The chain, how it is dripped, what is in the bottle before (ml; null: nobody knows), and when. */
final readonly class DripDoseInput
{
    public const ML_PER_DROP = 0.05;

    /** What a chain of which nobody counted the pitches is taken to have. House rule. */
    public const USUAL_PITCHES = 114;

    /** One coat on such a chain: what a top-up took of which nobody knows more. */
    public const USUAL_ML = self::USUAL_PITCHES * self::ML_PER_DROP;

    /** Common practice: it dries overnight. */
    public const DRY_HOURS = 10.0;

    /** @throws InvalidInput at the field: whole pitches and coats of 1 or more, the rest above 0 */
    public function __construct(
        public int $pitches,
        public float $dropsPerRoller,
        public int $coats,
        public float $mlPerDrop,
        public ?float $bottleMl,
        public float $appliedAtS,
        public float $dryHours = self::DRY_HOURS,
    ) {
        Check::between('pitches', $pitches, 1, 1000);
        Check::positive('drops_per_roller', $dropsPerRoller);
        Check::between('coats', $coats, 1, 100);
        Check::positive('ml_per_drop', $mlPerDrop);
        $bottleMl === null || Check::positive('bottle_ml', $bottleMl);
        Check::positive('dry_hours', $dryHours);
    }

    public static function from(Fields $in): self
    {
        $in->only('pitches', 'drops_per_roller', 'coats', 'ml_per_drop', 'bottle_ml', 'applied_at', 'dry_hours');

        return new self(
            $in->whole('pitches'),
            $in->number('drops_per_roller', 1.0),
            $in->has('coats') ? $in->whole('coats') : 1,
            $in->number('ml_per_drop', self::ML_PER_DROP),
            $in->numberOrNull('bottle_ml'),
            $in->time('applied_at')->unixSeconds,
            $in->number('dry_hours', self::DRY_HOURS),
        );
    }
}
