<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Jobs\ReadRideFiles;
use App\Models\RideImport;
use App\Ride\ImportState;
use App\Support\AppClock;
use Dripel\Core\Ride\RideFileKind;

/** Archives whose reader died, or waits for long, get another one; the one before is none any more. */
final readonly class ResumeImports
{
    /** No file takes as long to be read. */
    private const STILL_S = 30;

    public function __construct(private AppClock $clock) {}

    public function __invoke(): int
    {
        $resumed = 0;
        $nowS = $this->clock->unixS();
        foreach (
            RideImport::query()
                ->where('state', ImportState::Running)
                ->where('kind', RideFileKind::Zip)
                ->where('moved_at', '<=', $nowS - self::STILL_S)
                ->get()
            as $import
        ) {
            // Two who look at once take it up once.
            $mine = RideImport::query()
                ->whereKey($import->id)
                ->where('reader', $import->reader)
                ->update(['moved_at' => $nowS, 'reader' => $import->reader + 1]);
            $mine === 0 || ReadRideFiles::dispatch($import->id, $import->reader + 1);
            $resumed += $mine;
        }

        return $resumed;
    }
}
