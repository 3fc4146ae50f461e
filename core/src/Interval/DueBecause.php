<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Why a chain wants wax. */
enum DueBecause: string
{
    case Distance = 'distance';
    case Hours = 'hours';
    /** A wet or muddy ride with no top-up since. */
    case Wet = 'wet';
    /** The rider heard it. Said by the logbook, never by wax.life itself. */
    case Noise = 'noise';
}
