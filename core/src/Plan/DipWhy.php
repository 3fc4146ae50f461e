<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Why a planned pot day dips a chain. */
enum DipWhy: string
{
    case Rust = 'rust';
    case Event = 'event';
    case Booked = 'booked';
    /** It is ridden again before the next pot, and what it has left would not do. */
    case Short = 'short';
    /** It has little left and goes along: later it would take a pot day of its own. */
    case Along = 'along';
}
