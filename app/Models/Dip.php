<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain waxed in the pot.
 *
 * @property int $component_id
 */
final class Dip extends Entry
{
    protected $table = 'dips';
}
