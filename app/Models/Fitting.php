<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\Slot;

/**
 * A chain put on a bike, or the bike left without one; in another slot a cassette, chainring or jockey wheels.
 *
 * @property int $bike_id
 * @property int|null $component_id
 * @property Slot $slot
 */
final class Fitting extends Entry
{
    protected $table = 'fittings';

    protected function casts(): array
    {
        return ['slot' => Slot::class] + parent::casts();
    }
}
