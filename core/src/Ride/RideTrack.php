<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\FileModel;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\Geodesic;

/**
 * Distance and time of a recorded track. Every metre within a segment counts, none between segments; without places it is as far as the
 * recorder counted; hours move only
 * between two timed points that are at least 1 km/h apart. Memory does not grow with the track.
 * Source: WGS 84 geodesics, see Geodesic; 1 km/h is a house rule.
 */
final readonly class RideTrack implements FileModel
{
    private const MOVING_KMH = 1.0;

    /** Points that are hashed together. */
    private const AT_ONCE = 512;

    public function __construct(private TrackReader $reader = new GpxReader()) {}

    /**
     * @param resource $stream
     *
     * @throws InvalidInput at `file`
     */
    public function __invoke($stream): RideTrackResult
    {
        [$metres, $movingS, $points, $segments] = [0.0, 0.0, 0, 0];
        [$firstS, $lastS, $before] = [null, null, null];
        [$hash, $packed] = [hash_init('sha256'), ''];
        foreach ($this->reader->points($stream) as $point) {
            $points++;
            $packed .= pack(
                'q4',
                $point->segment,
                $point->lat === null ? -1 : (int) round(1e6 * $point->lat),
                $point->lon === null ? (int) round(100 * (float) $point->metres) : (int) round(1e6 * $point->lon),
                (int) ($point->atS ?? -1),
            );
            if ($points % self::AT_ONCE === 0) {
                hash_update($hash, $packed);
                $packed = '';
            }
            $firstS ??= $point->atS;
            $lastS = $point->atS ?? $lastS;
            if ($before === null || $before->segment !== $point->segment) {
                $segments++;
            } else {
                $step = self::metres($before, $point);
                $metres += $step;
                $seconds = $before->atS === null || $point->atS === null ? 0.0 : $point->atS - $before->atS;
                if ($seconds > 0 && ($step / $seconds) * 3.6 >= self::MOVING_KMH) {
                    $movingS += $seconds;
                }
            }
            $before = $point;
        }
        hash_update($hash, $packed);
        if ($firstS !== null && $lastS < $firstS) {
            throw new InvalidInput('file', 'has times that run backwards: its last point is before its first');
        }

        return new RideTrackResult(
            startS: $firstS,
            km: $metres / 1000,
            movingHours: $firstS === null ? null : $movingS / 3600,
            elapsedHours: $firstS === null ? null : ($lastS - $firstS) / 3600,
            points: $points,
            segments: $segments,
            fingerprint: hash_final($hash),
        );
    }

    /** Between two points of a segment: where one has no place, as far as the recorder counted. */
    private static function metres(TrackPoint $a, TrackPoint $b): float
    {
        return match (true) {
            $a->lat !== null && $a->lon !== null && $b->lat !== null && $b->lon !== null => Geodesic::metres(
                $a->lat,
                $a->lon,
                $b->lat,
                $b->lon,
            ),
            $a->metres !== null && $b->metres !== null => max(0.0, $b->metres - $a->metres),
            default => 0.0,
        };
    }

    public function computeFrom($stream): array
    {
        return $this($stream)->toArray();
    }
}
