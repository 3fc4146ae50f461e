<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Retirement as Core;

/**
 * A chain taken out of use.
 *
 * @property int $component_id
 */
final class Retirement extends Entry implements IsEvent
{
    protected $table = 'retirements';

    public static function columns(): array
    {
        return ['component_id'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0]);
    }
}
