<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening as Core;
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
final class Opening extends Entry implements IsEvent
{
    protected $table = 'openings';

    protected function casts(): array
    {
        return ['km' => 'float', 'since_wax_km' => 'float', 'wax' => WaxThen::class] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'km', 'wax', 'since_wax_km', 'closings'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0], self::float($row[1]), WaxThen::from($row[2]), self::float($row[3]), $row[4]);
    }
}
