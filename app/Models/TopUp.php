<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Drip wax put on a chain.
 *
 * @property int $component_id
 * @property float $km
 */
final class TopUp extends Entry
{
    protected $table = 'topups';
}
