<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** When on a planned day things are taken to be done, in hours of the clock on the wall. House rules. */
final readonly class PlanHours
{
    public const POT_EVENING = 19;

    public const POT_MORNING = 6;

    /** After these the pot is not heated on that day any more. */
    public const POT_LAST = 22;

    public const MORNING_LAST = 12;

    public const SWAP = 8;

    public const RIDE = 9;

    /** Nobody is taken to ride earlier than this: what is to be dry must be so by then. */
    public const FIRST_RIDE = 8;

    /** From then on nobody is taken to ride that day as usual: the evening is for the bench. A ride that somebody planned stays. */
    public const RIDDEN = self::POT_EVENING;

    public const MEASURE = 18;

    /** On the evening before the ride that it is for. */
    public const DRIP = 20;

    public static function pot(PlanTerms $terms): int
    {
        return $terms->evening ? self::POT_EVENING : self::POT_MORNING;
    }
}
