<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A stripping protocol of the workshop's own.
 *
 * @property string $name
 * @property list<array<string, mixed>> $steps
 * @property bool $drip_only
 */
final class Protocol extends LogbookRow
{
    protected $table = 'protocols';

    protected function casts(): array
    {
        return ['steps' => 'array', 'drip_only' => 'boolean'];
    }
}
