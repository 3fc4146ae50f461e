<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Brushing as Core;
use Dripel\Core\Logbook\Moment;

/**
 * The drivetrain of a bike brushed clean.
 *
 * @property int $bike_id
 */
final class Brushing extends Entry implements IsEvent
{
    protected $table = 'brushings';

    public static function columns(): array
    {
        return ['bike_id'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0]);
    }
}
