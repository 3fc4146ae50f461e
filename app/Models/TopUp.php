<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Drip wax put on a chain.
 *
 * @property int $component_id
 * @property float $km
 * @property float|null $ml
 * @property int|null $bottle_id
 */
final class TopUp extends Entry
{
    protected $table = 'topups';
}
