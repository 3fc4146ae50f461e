<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A ride file that a device sent, by its number: sent again, it counts once.
 *
 * @property int $device_id
 * @property int $sequence
 * @property int $received_at
 */
final class RideFile extends WorkshopModel
{
    protected $table = 'ride_files';
}
