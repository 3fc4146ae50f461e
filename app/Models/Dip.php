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
 * @property float|null $temp_c of the bath when it went in
 * @property int|null $soak_s how long it was under
 * @property bool $powder dusted with a friction powder
 * @property bool $partly its soak was cut short
 */
final class Dip extends Entry
{
    protected $table = 'dips';

    protected function casts(): array
    {
        return ['pickup_g' => 'float', 'rinsed' => 'boolean', 'temp_c' => 'float', 'powder' => 'boolean', 'partly' => 'boolean'] + parent::casts();
    }
}
