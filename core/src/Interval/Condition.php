<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What a ride was like for the wax. */
enum Condition: string
{
    /** On a home trainer. */
    case Indoor = 'indoor';
    /** Dry road: the base case. */
    case Dry = 'dry';
    case Dusty = 'dusty';
    /** Spray now and then, a wet road drying. */
    case Damp = 'damp';
    /** Rain, or a wet road all the way. */
    case Wet = 'wet';
    case Muddy = 'muddy';

    /** Whether the chain has to be dried the same day and seen to before the next ride. */
    public function soaks(): bool
    {
        return $this === self::Wet || $this === self::Muddy;
    }

    /** Whether a chain ridden like this is rinsed in hot water before the pot. Common practice: only after dry use it is not. */
    public function wantsRinse(): bool
    {
        return $this !== self::Indoor && $this !== self::Dry;
    }

    /** How much dirt it brings, for naming the worst of several rides. */
    public function dirt(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
