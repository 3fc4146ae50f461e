<?php

declare(strict_types=1);

namespace App\Models;

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
 */
final class Track extends WorkshopModel
{
    public $incrementing = false;

    protected $keyType = 'string';

    /** @return array<string, string|int> what a ride keeps of it */
    public function kept(): array
    {
        return ['track_fingerprint' => $this->fingerprint, 'track_from' => 0, 'track_to' => $this->points - 1];
    }
}
