<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Models\RideImport;
use App\Models\Workshop;
use App\Ride\ImportState;
use App\Ride\RideZip;
use App\Ride\TrackSource;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Input\InvalidInput;
use Illuminate\Support\Facades\File;

/**
 * Reads an archive file by file, for a while: each is remembered together with the count, so that whoever goes on where it was
 * stopped takes nothing twice. Memory does not grow with the archive.
 */
final readonly class ReadArchive
{
    /** So many failures are told one by one. */
    private const TOLD = 100;

    /** So often a file is begun whose reader dies at it. */
    private const TRIES = 3;

    public function __construct(private ReadTrack $readTrack, private AppClock $clock) {}

    /** @return bool whether more of it is to be read */
    public function __invoke(RideImport $import, float $seconds): bool
    {
        try {
            $zip = RideZip::open($import->path());
        } catch (InvalidInput $e) {
            $this->end($import, [['name' => $import->name, 'why' => self::why($e)]]);

            return false;
        }
        $workshop = Workshop::query()->findOrFail($import->workshop_id);
        $untilNs = hrtime(true) + (int) (1e9 * $seconds);
        while (hrtime(true) < $untilNs) {
            $import->refresh();
            if ($import->state !== ImportState::Running) {
                return false;
            }
            $file = $zip->files[$import->done] ?? null;
            if ($file === null) {
                $this->end($import, $import->failures);

                return false;
            }
            $this->one($workshop, $import, $zip, $file);
        }

        return true;
    }

    /** @param array{index: int, name: string, why: string|null} $file */
    private function one(Workshop $workshop, RideImport $import, RideZip $zip, array $file): void
    {
        $columns = null;
        $why = match (true) {
            $file['why'] !== null => (string) __("errors.{$file['why']}"),
            $import->tries >= self::TRIES => (string) __('errors.file_kills'),
            default => null,
        };
        // Noted before: a file that is the end of its reader is begun so often and no more.
        $import->increment('tries');
        if ($why === null) {
            try {
                $columns = $this->readTrack->look($zip->stream($file['index']), $file['name']);
            } catch (InvalidInput $e) {
                $why = self::why($e);
            }
        }
        $this->count($workshop, $import, $file['name'], $columns, $why);
    }

    /** @param array<string, mixed>|null $columns of the track that it is; null: it could not be read */
    private function count(Workshop $workshop, RideImport $import, string $name, ?array $columns, ?string $why): void
    {
        WriteTransaction::run(function () use ($workshop, $import, $name, $columns, $why): void {
            $told =
                $why === null || count($import->failures) >= self::TOLD
                    ? $import->failures
                    : [...$import->failures, ['name' => $name, 'why' => $why]];
            $counted = RideImport::query()
                ->whereKey($import->id)
                ->where('done', $import->done)
                ->update([
                    'done' => $import->done + 1,
                    'moved_at' => $this->clock->unixS(),
                    'tries' => 0,
                    'read' => $import->read + ($columns === null ? 0 : 1),
                    'failures' => json_encode($told, JSON_INVALID_UTF8_SUBSTITUTE),
                ]);
            // Where another worker was here first nothing is taken twice.
            $counted === 0 ||
                $columns === null ||
                $this->readTrack->remember(
                    $workshop,
                    TrackSource::Archive,
                    $columns + ['import_id' => $import->id, 'position' => $import->done],
                );
        });
    }

    /** @param list<array{name: string, why: string}> $failures */
    private function end(RideImport $import, array $failures): void
    {
        RideImport::query()
            ->whereKey($import->id)
            ->where('state', ImportState::Running)
            ->update(['state' => ImportState::Done, 'failures' => json_encode($failures)]);
        File::delete($import->path());
    }

    private static function why(InvalidInput $e): string
    {
        return (string) __('errors.file', ['problem' => $e->getMessage()]);
    }
}
