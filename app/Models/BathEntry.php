<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Bath\BathEventKind;

/**
 * Something that was done with the wax in a pot.
 *
 * @property int $component_id
 * @property BathEventKind $kind
 * @property float|null $wax_g
 * @property float|null $oil_g
 * @property float|null $removed_fraction
 * @property float|null $temp_c
 */
final class BathEntry extends Entry
{
    protected $table = 'bath_entries';

    protected function casts(): array
    {
        return [
            'kind' => BathEventKind::class,
            'wax_g' => 'float',
            'oil_g' => 'float',
            'removed_fraction' => 'float',
            'temp_c' => 'float',
        ] + parent::casts();
    }
}
