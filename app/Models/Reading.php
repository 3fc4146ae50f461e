<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain measured.
 *
 * @property int $component_id
 * @property int|null $instrument_id null: nobody said which one
 * @property array<string, mixed> $input an input of wear.reading
 */
final class Reading extends Entry
{
    protected $table = 'readings';

    protected function casts(): array
    {
        return ['input' => 'array'] + parent::casts();
    }
}
