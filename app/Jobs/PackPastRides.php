<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Archive\VerifyFigures;
use App\Logbook\PastRides;
use App\Models\Workshop;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Packs the rides of earlier months again, once a month or after one of them was changed, and makes sure that they still say the same. */
final class PackPastRides implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly int $workshopId) {}

    public function handle(PastRides $pastRides, VerifyFigures $verify): void
    {
        $workshop = Workshop::query()->find($this->workshopId);
        if ($workshop !== null && $pastRides->due($workshop)) {
            $pastRides->keep($workshop);
            $verify($workshop);
        }
    }
}
