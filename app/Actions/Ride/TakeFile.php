<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Jobs\ReadRideFiles;
use App\Models\RideImport;
use App\Models\Track;
use App\Models\Workshop;
use App\Ride\ImportState;
use App\Ride\RideZip;
use App\Support\AppClock;
use App\Support\WholeFile;
use Dripel\Core\Input\CsvText;
use Dripel\Core\Input\Gzip;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\RideFileKind;
use Dripel\Core\Ride\TrackReader;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;
use Throwable;

/** Takes a file that somebody dropped: one ride is looked at at once, an archive is read by the queue, of a table the columns are asked. */
final readonly class TakeFile
{
    /** A table is read at once, so it has to fit into memory; it is a lifetime of riding. */
    private const MOST_TABLE_BYTES = 16_777_216;

    public function __construct(private ReadTrack $readTrack, private AppClock $clock) {}

    /** @throws InvalidInput at `file` */
    public function __invoke(Workshop $workshop, string $path, string $name): Track|RideImport
    {
        $this->readTrack->forgetOld();
        $stream = fopen($path, 'rb') ?: throw new RuntimeException('The uploaded file cannot be opened.');
        try {
            $kind = RideFileKind::of((string) fread($stream, RideFileKind::HEAD_BYTES));
            rewind($stream);

            return match ($kind) {
                RideFileKind::Gzip => $this->unpacked($workshop, $stream, $name),
                RideFileKind::Zip => $this->archive($workshop, $path, $name),
                RideFileKind::Table => $this->table($workshop, $path, $name),
                default => ($this->readTrack)($workshop, $stream, $name),
            };
        } finally {
            fclose($stream);
        }
    }

    /**
     * @param resource $packed
     *
     * @throws InvalidInput at `file`
     */
    private function unpacked(Workshop $workshop, $packed, string $name): Track|RideImport
    {
        $path = tempnam(sys_get_temp_dir(), 'ride') ?: throw new RuntimeException('There is no room for a temporary file.');
        try {
            file_put_contents($path, Gzip::unpacked($packed, TrackReader::MOST_BYTES));

            return $this($workshop, $path, preg_replace('/\.gz$/i', '', $name) ?? $name);
        } finally {
            File::delete($path);
        }
    }

    private function archive(Workshop $workshop, string $path, string $name): RideImport
    {
        $import = $this->keep($workshop, $path, $name, RideFileKind::Zip, ImportState::Running, count(RideZip::open($path)->files));
        ReadRideFiles::dispatch($import->id, 0);

        return $import;
    }

    private function table(Workshop $workshop, string $path, string $name): RideImport
    {
        filesize($path) <= self::MOST_TABLE_BYTES || throw new InvalidInput('file', 'is larger than 16 MB: take the table in parts');
        $rows = iterator_count(CsvText::of((string) file_get_contents($path))->rows());

        return $this->keep($workshop, $path, $name, RideFileKind::Table, ImportState::Waiting, $rows);
    }

    private function keep(Workshop $workshop, string $path, string $name, RideFileKind $kind, ImportState $state, int $total): RideImport
    {
        $import = new RideImport([
            'id' => (string) Str::uuid(),
            'workshop_id' => $workshop->id,
            'kind' => $kind,
            'name' => Str::limit(basename($name), 120, ''),
            'state' => $state,
            'total' => $total,
            'failures' => [],
            'started_at' => $this->clock->unixS(),
            'moved_at' => $this->clock->unixS(),
        ]);
        WholeFile::copy($path, $import->path());
        try {
            $import->save();
        } catch (Throwable $e) {
            File::delete($import->path());

            throw $e;
        }

        return $import;
    }
}
