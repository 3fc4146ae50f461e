<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Interval\Condition;

/**
 * The same ride on the same days of every week.
 *
 * @property int $bike_id
 * @property non-empty-list<int> $weekdays 1 Monday to 7 Sunday
 * @property string $time HH:MM
 * @property float $km
 * @property float|null $hours
 * @property Condition $condition
 * @property string $from_date
 * @property string|null $until_date
 */
final class Commute extends Entry
{
    protected $table = 'commutes';

    protected function casts(): array
    {
        return ['weekdays' => 'array', 'km' => 'float', 'hours' => 'float', 'condition' => Condition::class] + parent::casts();
    }
}
