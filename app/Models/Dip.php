<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain waxed in the pot.
 *
 * @property int $component_id
 * @property int|null $pot_id
 * @property float|null $pickup_g weighed before and after
 * @property bool $rinsed
 */
final class Dip extends Entry
{
    protected $table = 'dips';

    protected function casts(): array
    {
        return ['pickup_g' => 'float', 'rinsed' => 'boolean'] + parent::casts();
    }
}
