<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Why a chain must be in the pot by a day, whatever wax it has. */
enum DeadlineKind: string
{
    /** It is bare, and would rust. */
    case Rust = 'rust';
    /** It is kept for an event and wants a fresh dip for it. */
    case Event = 'event';
    /** Somebody accepted a pot day with it. */
    case Booked = 'booked';
}
