<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Interval\Condition;

/**
 * A ride on a bike.
 *
 * @property int|null $bike_id null: nobody said yet which bike it was
 * @property float $km
 * @property float|null $hours
 * @property Condition $condition
 * @property string|null $track_fingerprint
 * @property int|null $track_from
 * @property int|null $track_to
 */
final class Ride extends Entry
{
    protected $table = 'rides';

    protected function casts(): array
    {
        return ['km' => 'float', 'hours' => 'float', 'condition' => Condition::class] + parent::casts();
    }
}
