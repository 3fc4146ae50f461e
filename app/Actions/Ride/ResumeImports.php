<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Jobs\ReadRideFiles;
use App\Models\RideImport;
use App\Ride\ImportState;
use App\Support\AppClock;
use Dripel\Core\Ride\RideFileKind;

/** Archives whose reader died are read on. A file at which it dies again and again is left out, and said to be. */
final readonly class ResumeImports
{
    /** No file takes as long to be read. */
    private const STILL_S = 30;

    private const TRIES = 3;

    public function __construct(private AppClock $clock, private ReadArchive $readArchive) {}

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
            if ($import->resumed >= self::TRIES) {
                $this->readArchive->leaveOut($import);
                $import->refresh();
            }
            // Two who look at once take it up once.
            $mine = RideImport::query()
                ->whereKey($import->id)
                ->where('moved_at', $import->moved_at)
                ->update(['moved_at' => $nowS, 'resumed' => $import->resumed + 1]);
            $mine === 0 || ReadRideFiles::dispatch($import->id);
            $resumed += $mine;
        }

        return $resumed;
    }
}
