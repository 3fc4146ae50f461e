<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain taken to bare metal.
 *
 * @property int $component_id
 */
final class Strip extends Entry
{
    protected $table = 'strips';
}
