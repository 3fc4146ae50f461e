<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Plan\PlannedRide as CoreRide;

/**
 * A ride that is meant, or days on which nothing is ridden.
 *
 * @property int|null $bike_id null: all bikes
 * @property string $from_date
 * @property string $until_date
 * @property float $km 0: nothing is ridden
 * @property Condition|null $condition
 * @property string|null $name
 */
final class PlannedRide extends Entry
{
    protected $table = 'planned_rides';

    protected function casts(): array
    {
        return ['km' => 'float', 'condition' => Condition::class] + parent::casts();
    }

    public function toCore(): CoreRide
    {
        return new CoreRide(
            $this->id,
            $this->from_date,
            $this->until_date,
            $this->bike_id,
            $this->km,
            $this->condition,
            (string) $this->name,
        );
    }
}
