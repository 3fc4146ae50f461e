<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A local day on which a bike was not ridden.
 *
 * @property int $bike_id
 * @property string $date
 */
final class RestDay extends Entry
{
    protected $table = 'rest_days';
}
