<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The state of a chain in one word, the most pressing first. Where it hangs and how worn it is are said beside it. */
enum ChainStatus: string
{
    case Retired = 'retired';
    /** Stripped and not waxed yet: it rusts. */
    case Bare = 'bare';
    /** Never waxed: in its box, greased or oiled. */
    case Unwaxed = 'unwaxed';
    /** Oil got on it since it was last stripped: no wax holds. */
    case Oiled = 'oiled';
    /** Ridden until it got loud. */
    case Loud = 'loud';
    /** Its wax is used up by distance. */
    case Spent = 'spent';
    /** Its hours are up. */
    case Overtime = 'overtime';
    /** Ridden in the wet and not seen to since. */
    case Wet = 'wet';
    /** It came waxed and nobody knows how far it went since. */
    case Unsure = 'unsure';
    /** Some wax is left. */
    case Ridden = 'ridden';
    /** Fresh from the pot. */
    case Waxed = 'waxed';

    /** Whether the pot is the next place for it. */
    public function wantsDip(): bool
    {
        return in_array($this, [self::Bare, self::Loud, self::Spent, self::Overtime, self::Wet], true);
    }
}
