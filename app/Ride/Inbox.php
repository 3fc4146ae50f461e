<?php

declare(strict_types=1);

namespace App\Ride;

use App\Actions\Ride\ReadTrack;
use App\Devices\RideFolder;
use App\Models\Device;
use App\Models\RideFile;
use App\Models\Track;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WholeFile;
use App\Support\WriteTransaction;
use Dripel\Core\Input\InvalidInput;
use Illuminate\Support\Facades\File;

/** Rides that come in by themselves wait to be looked at; Next says so. Each is taken once. */
final readonly class Inbox
{
    /** More in one look would keep the others waiting. */
    private const AT_ONCE = 200;

    public function __construct(private ReadTrack $readTrack, private AppClock $clock) {}

    /** How many wait. */
    public static function waiting(Workshop $workshop): int
    {
        return Track::query()->in($workshop)->where('source', TrackSource::Inbox)->count();
    }

    /**
     * What a device sent. Sent again it counts once.
     *
     * @param resource $stream
     *
     * @return bool whether it was new
     *
     * @throws InvalidInput at `file`
     */
    public function take(Device $device, int $sequence, string $name, $stream): bool
    {
        $workshop = Workshop::query()->findOrFail($device->workshop_id);
        $columns = $this->readTrack->look($stream, $name);

        return WriteTransaction::run(function () use ($workshop, $device, $sequence, $columns): bool {
            $device->update(['seen_at' => $this->clock->unixS()]);
            $new =
                RideFile::query()->insertOrIgnore([
                    'workshop_id' => $workshop->id,
                    'device_id' => $device->id,
                    'sequence' => $sequence,
                    'received_at' => $this->clock->unixS(),
                ]) > 0;

            return $new && $this->keep($workshop, $columns);
        });
    }

    /**
     * Looks into the folder of a workshop: a file that was taken goes into `taken`, one that cannot be read into `refused` with the
     * reason beside it.
     *
     * @param array<string, int> $before sizes of the files at the last look, by name
     *
     * @return array<string, int> the sizes of those that were not taken, for the next look
     */
    public function look(Workshop $workshop, array $before = []): array
    {
        $folder = RideFolder::path($workshop);
        $sizes = [];
        foreach (File::isDirectory($folder) ? array_slice(File::files($folder), 0, self::AT_ONCE) : [] as $file) {
            $name = $file->getFilename();
            // One that still grows is looked at again the next time.
            if (($before[$name] ?? null) === $file->getSize()) {
                $this->file($workshop, $folder, $name);
            } else {
                $sizes[$name] = $file->getSize();
            }
        }

        return $sizes;
    }

    private function file(Workshop $workshop, string $folder, string $name): void
    {
        $stream = fopen("{$folder}/{$name}", 'rb');
        if ($stream === false) {
            return;
        }
        try {
            $columns = $this->readTrack->look($stream, $name);
            WriteTransaction::run(fn(): bool => $this->keep($workshop, $columns));
            $this->putAway($folder, 'taken', $name);
        } catch (InvalidInput $e) {
            $kept = $this->putAway($folder, 'refused', $name);
            WholeFile::put("{$folder}/refused/{$kept}.txt", (string) __('errors.file', ['problem' => $e->getMessage()]) . "\n");
        } finally {
            fclose($stream);
        }
    }

    /** @param array<string, mixed> $columns */
    private function keep(Workshop $workshop, array $columns): bool
    {
        // The same track in the list already: whoever copies a whole folder again brings nothing new.
        if (Track::query()->in($workshop)->where('source', TrackSource::Inbox)->where('fingerprint', $columns['fingerprint'])->exists()) {
            return false;
        }
        $this->readTrack->remember($workshop, TrackSource::Inbox, $columns);
        Workshop::query()->whereKey($workshop->id)->increment('revision');

        return true;
    }

    /** @return string what it is called there */
    private function putAway(string $folder, string $where, string $name): string
    {
        File::ensureDirectoryExists("{$folder}/{$where}", 0700);
        // Recorders call all their files alike: none goes in the place of another.
        $kept = File::exists("{$folder}/{$where}/{$name}") ? "{$this->clock->unixS()}-" . bin2hex(random_bytes(3)) . "-{$name}" : $name;
        File::move("{$folder}/{$name}", "{$folder}/{$where}/{$kept}");

        return $kept;
    }
}
