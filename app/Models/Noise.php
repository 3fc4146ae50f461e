<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A bike whose chain got loud.
 *
 * @property int $bike_id
 */
final class Noise extends Entry
{
    protected $table = 'noises';
}
