<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\WaxThen;

/**
 * What a used part brought with it. Null is unknown.
 *
 * @property int $component_id
 * @property float|null $km
 * @property WaxThen $wax
 * @property float|null $since_wax_km
 * @property int|null $closings
 */
final class Opening extends Entry
{
    protected $table = 'openings';

    protected function casts(): array
    {
        return ['km' => 'float', 'since_wax_km' => 'float', 'wax' => WaxThen::class] + parent::casts();
    }
}
