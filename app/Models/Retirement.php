<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain taken out of use.
 *
 * @property int $component_id
 */
final class Retirement extends Entry
{
    protected $table = 'retirements';
}
