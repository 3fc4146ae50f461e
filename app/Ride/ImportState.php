<?php

declare(strict_types=1);

namespace App\Ride;

enum ImportState: string
{
    case Running = 'running';
    /** Somebody stopped it; it can go on where it was. */
    case Stopped = 'stopped';
    /** Its columns are to be said. */
    case Waiting = 'waiting';
    case Done = 'done';
}
