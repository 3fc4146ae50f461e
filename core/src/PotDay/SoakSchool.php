<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** How long a chain stays under, at least; it stays on while bubbles rise. Common practice. */
enum SoakSchool: string
{
    /** Until the bubbles stop: a couple of minutes. */
    case Bubbles = 'bubbles';
    /** At least five minutes: the default for a re-wax. */
    case Five = 'five';
    /** Five to ten minutes. */
    case FiveToTen = 'five_to_ten';
    /** Ten minutes. */
    case Ten = 'ten';
    /** An hour on low: the default for a first wax. */
    case Hour = 'hour';

    public function leastMinutes(): float
    {
        return match ($this) {
            self::Bubbles => 2.0,
            self::Five => 5.0,
            self::FiveToTen => 7.5,
            self::Ten => 10.0,
            self::Hour => 60.0,
        };
    }
}
