<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A way out of a wet ride, once the chain is dry; in the order in which they are best. */
enum WetWay: string
{
    /** Another chain goes on; this one waits for the pot. */
    case Swap = 'swap';
    /** Hot water over it, dried, and into the pot. */
    case Dip = 'dip';
    /** Drip wax bridges until the pot is hot. */
    case TopUp = 'topup';
}
