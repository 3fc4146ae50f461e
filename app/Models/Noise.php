<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise as Core;

/**
 * A bike whose chain got loud.
 *
 * @property int $bike_id
 */
final class Noise extends Entry implements IsEvent
{
    protected $table = 'noises';

    public static function columns(): array
    {
        return ['bike_id'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0]);
    }
}
