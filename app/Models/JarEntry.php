<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\Solvent;

/**
 * Something that was done with a solvent jar.
 *
 * @property int $component_id
 * @property JarAct $act
 * @property float|null $volume_ml
 * @property Solvent|null $solvent
 * @property float|null $flash_c
 * @property float|null $boiling_c
 * @property string|null $note
 */
final class JarEntry extends Entry
{
    protected $table = 'jar_entries';

    protected function casts(): array
    {
        return ['act' => JarAct::class, 'solvent' => Solvent::class, 'volume_ml' => 'float', 'flash_c' => 'float', 'boiling_c' => 'float'] +
            parent::casts();
    }
}
