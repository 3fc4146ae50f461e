<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain put on a bike, or the bike left without one.
 *
 * @property int $bike_id
 * @property int|null $component_id
 */
final class Fitting extends Entry
{
    protected $table = 'fittings';
}
