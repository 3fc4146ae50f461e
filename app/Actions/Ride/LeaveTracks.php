<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Models\Track;
use App\Models\Workshop;

/** The files that wait are left, without any being taken in. */
final readonly class LeaveTracks
{
    public function __invoke(Workshop $workshop): void
    {
        Track::query()->in($workshop)->delete();
    }
}
