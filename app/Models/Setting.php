<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\SettingKey;

/**
 * A setting and the date it holds from.
 *
 * @property SettingKey $key
 * @property int|null $bike_id
 * @property int|null $component_id
 * @property string|int|float|list<mixed>|null $value
 */
final class Setting extends Entry
{
    protected $table = 'settings';

    protected function casts(): array
    {
        return ['key' => SettingKey::class, 'value' => 'json'] + parent::casts();
    }
}
