<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What rides are added up for. */
enum RideSum
{
    /** As ridden. */
    case Km;
    /** Of those that were timed. */
    case Hours;
    /** The km of those. */
    case TimedKm;
    /** How many were not. */
    case Untimed;
}
