<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Oiling as Core;

/**
 * Oil got on a chain.
 *
 * @property int $component_id
 */
final class Oiling extends Entry implements IsEvent
{
    protected $table = 'oilings';

    public static function columns(): array
    {
        return ['component_id'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0]);
    }
}
