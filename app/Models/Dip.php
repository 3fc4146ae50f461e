<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Dip as Core;
use Dripel\Core\Logbook\Moment;

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
 * @property bool $link_in its quick link went in tied on
 */
final class Dip extends Entry implements IsEvent
{
    protected $table = 'dips';

    protected function casts(): array
    {
        return [
            'pickup_g' => 'float',
            'rinsed' => 'boolean',
            'temp_c' => 'float',
            'powder' => 'boolean',
            'partly' => 'boolean',
            'link_in' => 'boolean',
        ] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'temp_c', 'soak_s', 'powder', 'pot_id', 'pickup_g', 'rinsed', 'partly', 'link_in'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core(
            $id,
            $moment,
            $row[0],
            self::float($row[1]),
            $row[2],
            (bool) $row[3],
            $row[4],
            self::float($row[5]),
            (bool) $row[6],
            (bool) $row[7],
            (bool) $row[8],
        );
    }
}
