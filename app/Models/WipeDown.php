<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\WipeDown as Core;
use Dripel\Core\Logbook\WipeDownKind;

/**
 * A chain seen to with a cloth.
 *
 * @property int $component_id
 * @property WipeDownKind $care
 */
final class WipeDown extends Entry implements IsEvent
{
    /** Named before what it holds was called that; files of workshops name it too. */
    protected $table = 'cares';

    protected function casts(): array
    {
        return ['care' => WipeDownKind::class] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'care'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0], WipeDownKind::from($row[1]));
    }
}
