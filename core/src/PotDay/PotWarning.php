<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** What could go wrong on a pot day. */
enum PotWarning: string
{
    /** On this power the wax never becomes liquid. */
    case NeverMelts = 'never_melts';
    /** It melts but never reaches the temperature wanted. */
    case NeverHot = 'never_hot';
    /** With a chain in it the wax runs over. */
    case Overfull = 'overfull';
    /** The wax does not cover a coiled chain. */
    case TooLow = 'too_low';
    /** It would pass the limit of this wax before it is switched off. */
    case Overheats = 'overheats';
    /** A cold chain makes wax set around it even alone. */
    case Freezes = 'freezes';
    /** Its grit is past the limit. */
    case Gritty = 'gritty';
    /** A chain goes in after one that is dirtier: its wax takes up what that left in the bath. */
    case DirtyFirst = 'dirty_first';
    /** It was overheated once. */
    case Spent = 'spent';

    /** A chain that is kept for an event, in a pot for everyday chains, though there is a clean one. */
    case RaceElsewhere = 'race_elsewhere';
    /** An everyday chain in the pot that is kept clean for races. */
    case KeptClean = 'kept_clean';
    /** One that was ridden in the wet or in mud in that pot. */
    case NeverDirty = 'never_dirty';
    /** A quick link that was never stripped would go in tied on. */
    case GreasedLink = 'greased_link';
    /** Nobody read its plate: its power comes from the last time, or from its kind and the grams in it. */
    case PowerLastTime = 'power_last_time';
    case PowerUsual = 'power_usual';

    /**
     * Whether the day is not begun like this: dangerous, or in vain.
     *
     * @phpstan-assert-if-true self::NeverMelts|self::NeverHot|self::Overfull|self::NeverDirty|self::GreasedLink $this
     */
    public function forbids(): bool
    {
        return $this === self::NeverMelts ||
            $this === self::NeverHot ||
            $this === self::Overfull ||
            $this === self::NeverDirty ||
            $this === self::GreasedLink;
    }
}
