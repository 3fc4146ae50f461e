<?php

declare(strict_types=1);

namespace App\Ride;

/** Where a ride that waits to be taken in came from. */
enum TrackSource: string
{
    case Upload = 'upload';
    case Archive = 'archive';
    case Table = 'table';
    /** By itself: a device, or a folder that is watched. */
    case Inbox = 'inbox';
}
