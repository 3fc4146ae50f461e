<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How well it is known when something happened. */
enum Precision: string
{
    case Minute = 'minute';
    /** Only the local day is known; the moment is then the last second of that day, so that it comes after the day's changes. */
    case Day = 'day';
}
