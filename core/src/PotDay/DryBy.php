<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** How a rinsed chain gets dry. Common practice; the shorter time is a house rule. */
enum DryBy: string
{
    /** Warm air until bone dry. */
    case WarmAir = 'warm_air';
    /** An hour or more in the air. */
    case Air = 'air';

    public function seconds(): int
    {
        return match ($this) {
            self::WarmAir => 900,
            self::Air => 3600,
        };
    }
}
