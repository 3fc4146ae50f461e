<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Care as Core;
use Dripel\Core\Logbook\CareKind;
use Dripel\Core\Logbook\Moment;

/**
 * A chain seen to with a cloth.
 *
 * @property int $component_id
 * @property CareKind $care
 */
final class Care extends Entry implements IsEvent
{
    protected function casts(): array
    {
        return ['care' => CareKind::class] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'care'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0], CareKind::from($row[1]));
    }
}
