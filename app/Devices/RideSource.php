<?php

declare(strict_types=1);

namespace App\Devices;

/** Where rides come from by themselves: a bike computer that sends them, a folder that it is copied into. */
interface RideSource
{
    /** Hands a ride file over; false where it is not wanted any more. */
    public function deliver(string $name, string $gpx): bool;
}
