<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The kinds of entries about chains, in the order in which they count when they happen at one instant. */
enum EntryKind: string
{
    /** What a part brought with it; everything else of that instant comes on top. */
    case Opening = 'opening';
    case Strip = 'strip';
    case Dip = 'dip';
    case Fitting = 'fitting';
    case TopUp = 'topup';
    case Ride = 'ride';
    case Oiling = 'oiling';
    case WipeDown = 'care';
    case Brushing = 'brushing';
    case Noise = 'noise';
    case Reading = 'reading';
    case Retirement = 'retirement';

    /** Whether it is an Event: neither a ride nor a fitting, which are many and have a life of their own. */
    public function isEvent(): bool
    {
        return match ($this) {
            self::Ride, self::Fitting => false,
            self::Opening,
            self::Strip,
            self::Dip,
            self::TopUp,
            self::Oiling,
            self::WipeDown,
            self::Brushing,
            self::Noise,
            self::Reading,
            self::Retirement
                => true,
        };
    }

    public function rank(): int
    {
        return match ($this) {
            self::Opening => -1,
            self::Strip => 0,
            self::Dip => 1,
            self::Fitting => 2,
            self::TopUp => 3,
            self::Ride => 4,
            self::Oiling => 5,
            self::WipeDown => 6,
            self::Brushing => 7,
            self::Noise => 8,
            self::Reading => 9,
            self::Retirement => 10,
        };
    }
}
