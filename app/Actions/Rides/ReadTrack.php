<?php

declare(strict_types=1);

namespace App\Actions\Rides;

use App\Models\Track;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\AnyTrackReader;
use Dripel\Core\Ride\RideTrack;
use Illuminate\Support\Str;
use RuntimeException;

/** Looks at a ride file. What it says is remembered for a day, until it is kept; the file itself is not. */
final readonly class ReadTrack
{
    private const KEPT_S = 86400;

    public function __construct(private AppClock $clock) {}

    /** @throws InvalidInput at `file` */
    public function __invoke(Workshop $workshop, string $path, string $name): Track
    {
        $stream = fopen($path, 'rb') ?: throw new RuntimeException('The uploaded file cannot be opened.');
        try {
            $result = (new RideTrack(new AnyTrackReader))($stream);
        } finally {
            fclose($stream);
        }
        Track::query()->where('uploaded_at', '<', $this->clock->unixS() - self::KEPT_S)->delete();

        return Track::query()->create([
            'id' => (string) Str::uuid(),
            'workshop_id' => $workshop->id,
            'name' => Str::limit(basename($name), 120, ''),
            'start' => $result->startS === null ? null : (int) floor($result->startS),
            'km' => $result->km,
            'moving_hours' => $result->movingHours,
            'elapsed_hours' => $result->elapsedHours,
            'points' => $result->points,
            'segments' => $result->segments,
            'fingerprint' => $result->fingerprint,
            'uploaded_at' => $this->clock->unixS(),
        ]);
    }
}
