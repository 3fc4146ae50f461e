<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\CareKind;

/**
 * A chain seen to with a cloth.
 *
 * @property int $component_id
 * @property CareKind $care
 */
final class Care extends Entry
{
    protected function casts(): array
    {
        return ['care' => CareKind::class] + parent::casts();
    }
}
