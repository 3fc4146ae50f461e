<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Jobs\ReadRideFiles;
use App\Models\RideImport;
use App\Ride\ImportState;
use App\Support\AppClock;
use Illuminate\Support\Facades\File;

/** An archive that is read is stopped, goes on, or is put aside. What was read of it stays. */
final readonly class SteerImport
{
    public function __construct(private AppClock $clock) {}

    public function stop(RideImport $import): void
    {
        RideImport::query()
            ->whereKey($import->id)
            ->where('state', ImportState::Running)
            ->update(['state' => ImportState::Stopped]);
    }

    public function goOn(RideImport $import): void
    {
        RideImport::query()
            ->whereKey($import->id)
            ->where('state', ImportState::Stopped)
            ->update(['state' => ImportState::Running, 'moved_at' => $this->clock->unixS(), 'tries' => 0]) > 0 &&
            ReadRideFiles::dispatch($import->id, $import->reader);
    }

    public function putAside(RideImport $import): void
    {
        File::delete($import->path());
        $import->delete();
    }
}
