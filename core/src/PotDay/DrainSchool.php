<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** How a chain is lifted out of the wax. Common practice; the seconds are house rules. */
enum DrainSchool: string
{
    /** Lifted slowly and straight, shaken gently, drained over the pot: a thin coat, wax saved. The default. */
    case Slow = 'slow';
    /** Cooled half a minute, then the excess swung off outdoors. */
    case Swing = 'swing';
    /** Lifted hot and left to drip. */
    case Drip = 'drip';

    public function seconds(): int
    {
        return match ($this) {
            self::Slow => 60,
            self::Swing => 30,
            self::Drip => 120,
        };
    }
}
