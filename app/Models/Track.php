<?php

declare(strict_types=1);

namespace App\Models;

use App\Ride\TrackSource;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Precision;

/**
 * An uploaded ride that was looked at and not kept yet. No part of the logbook.
 *
 * @property string $id
 * @property string $name
 * @property int|null $start Unix seconds
 * @property float $km
 * @property float|null $moving_hours
 * @property float|null $elapsed_hours
 * @property int $points
 * @property int $segments
 * @property string $fingerprint
 * @property int $uploaded_at Unix seconds
 * @property TrackSource $source
 * @property Precision $precision
 * @property int|null $bike_id which bike its table says
 * @property Condition|null $condition what its table says
 */
final class Track extends WorkshopModel
{
    protected $table = 'tracks';

    public $incrementing = false;

    protected $keyType = 'string';

    protected function casts(): array
    {
        return [
            'source' => TrackSource::class,
            'precision' => Precision::class,
            'condition' => Condition::class,
            'km' => 'float',
            'moving_hours' => 'float',
            'elapsed_hours' => 'float',
        ];
    }

    /** @return array<string, string|int> what a ride keeps of it */
    public function kept(): array
    {
        return ['track_fingerprint' => $this->fingerprint, 'track_from' => 0, 'track_to' => max(0, $this->points - 1)];
    }
}
