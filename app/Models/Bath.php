<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Strip\Solvent;

/**
 * A bath that chains were stripped in; the baths of one action follow one another.
 *
 * @property int|null $component_id the jar, null: fresh solvent
 * @property int|null $into_id
 * @property Solvent $solvent
 * @property float $volume_ml
 * @property int $chains
 * @property float $start_g
 * @property string|null $look
 */
final class Bath extends Entry
{
    protected $table = 'baths';

    protected function casts(): array
    {
        return ['solvent' => Solvent::class, 'volume_ml' => 'float', 'start_g' => 'float'] + parent::casts();
    }
}
