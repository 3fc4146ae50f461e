<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Ride\ReadArchive;
use App\Models\RideImport;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Reads an archive of rides for a while, then again, until it is through or somebody stops it: the queue is not its own. */
final class ReadRideFiles implements ShouldQueue
{
    use Queueable;

    private const SLICE_S = 15.0;

    public function __construct(private readonly string $importId, private readonly int $reader) {}

    public function handle(ReadArchive $read): void
    {
        $import = RideImport::query()->find($this->importId);
        // Another was sent in its place meanwhile.
        if ($import?->reader === $this->reader && $read($import, self::SLICE_S)) {
            self::dispatch($this->importId, $this->reader);
        }
    }
}
