<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A temperature of a bath, typed by a person or sent by a device. It guides a pot day and is no part of the logbook: the
 * highest of a day is recorded with it.
 *
 * @property int $pot_id
 * @property int|null $device_id
 * @property int|null $sequence
 * @property int $at
 * @property int|null $device_at
 * @property int $received_at
 * @property float $temp_c
 */
final class Temperature extends WorkshopModel
{
    protected $table = 'temperatures';

    protected function casts(): array
    {
        return ['temp_c' => 'float'];
    }
}
