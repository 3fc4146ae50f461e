<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\TopUp as Core;

/**
 * Drip wax put on a chain.
 *
 * @property int $component_id
 * @property float $km
 * @property float|null $ml
 * @property int|null $bottle_id
 */
final class TopUp extends Entry implements IsEvent
{
    protected $table = 'topups';

    protected function casts(): array
    {
        return ['km' => 'float', 'ml' => 'float'] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'km', 'ml', 'bottle_id'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0], (float) $row[1], self::float($row[2]), $row[3]);
    }
}
