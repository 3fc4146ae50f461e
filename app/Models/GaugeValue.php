<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What a digital gauge sent. It waits for somebody to take it as a reading and is no part of the logbook.
 *
 * @property int $device_id
 * @property int $sequence
 * @property int $received_at
 * @property float $value_pct
 */
final class GaugeValue extends WorkshopModel
{
    protected $table = 'gauge_values';

    protected function casts(): array
    {
        return ['value_pct' => 'float'];
    }
}
