<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Interval\Condition;

/**
 * What a bike was ridden over some days, as far as is known.
 *
 * @property int $bike_id
 * @property int $from_at Unix seconds
 * @property string $from_date
 * @property string $to_date
 * @property float $km
 * @property Condition $condition
 * @property float|null $odometer_km
 */
final class Estimate extends Entry
{
    protected $table = 'estimates';

    protected function casts(): array
    {
        return ['km' => 'float', 'odometer_km' => 'float', 'condition' => Condition::class] + parent::casts();
    }
}
