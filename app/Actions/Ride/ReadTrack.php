<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Models\Track;
use App\Models\Workshop;
use App\Ride\TrackSource;
use App\Support\AppClock;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\AnyTrackReader;
use Dripel\Core\Ride\RideTrack;
use Illuminate\Support\Str;

/** Looks at a ride file. What it says is remembered until it is kept; the file itself is not. */
final readonly class ReadTrack
{
    /** What somebody dropped and left; what came in by itself waits longer. */
    private const KEPT_S = ['upload' => 86400, 'archive' => 7 * 86400, 'table' => 7 * 86400, 'inbox' => 60 * 86400];

    public function __construct(private AppClock $clock) {}

    /**
     * @param resource $stream
     *
     * @throws InvalidInput at `file`
     */
    public function __invoke(Workshop $workshop, $stream, string $name, TrackSource $source = TrackSource::Upload): Track
    {
        return $this->remember($workshop, $source, $this->look($stream, $name));
    }

    /**
     * @param resource $stream
     *
     * @return array<string, mixed> columns of its row
     *
     * @throws InvalidInput at `file`
     */
    public function look($stream, string $name): array
    {
        $result = (new RideTrack(new AnyTrackReader()))($stream);

        return [
            'name' => $name,
            'start' => $result->startS === null ? null : (int) floor($result->startS),
            'km' => $result->km,
            'moving_hours' => $result->movingHours,
            'elapsed_hours' => $result->elapsedHours,
            'points' => $result->points,
            'segments' => $result->segments,
            'fingerprint' => $result->fingerprint,
        ];
    }

    /** @param array<string, mixed> $columns of its row */
    public function remember(Workshop $workshop, TrackSource $source, array $columns): Track
    {
        return Track::query()->create(
            [
                'id' => (string) Str::uuid7(),
                'workshop_id' => $workshop->id,
                'source' => $source,
                'uploaded_at' => $this->clock->unixS(),
                'name' => Str::limit(basename((string) $columns['name']), 120, ''),
            ] + $columns,
        );
    }

    /** What nobody came back for. */
    public function forgetOld(): void
    {
        foreach (self::KEPT_S as $source => $seconds) {
            Track::query()
                ->where('source', $source)
                ->where('uploaded_at', '<', $this->clock->unixS() - $seconds)
                ->delete();
        }
    }
}
