<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\IsEvent;
use Dripel\Core\Input\Fields;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Reading as Core;
use Dripel\Core\Wear\WearReading;

/**
 * A chain measured.
 *
 * @property int $component_id
 * @property int|null $instrument_id null: nobody said which one
 * @property array<string, mixed> $input an input of wear.reading
 */
final class Reading extends Entry implements IsEvent
{
    protected $table = 'readings';

    protected function casts(): array
    {
        return ['input' => 'array'] + parent::casts();
    }

    public static function columns(): array
    {
        return ['component_id', 'input'];
    }

    public static function event(int $id, Moment $moment, array $row): Core
    {
        return new Core($id, $moment, $row[0], fn() => WearReading::input(Fields::fromJson($row[1])), $row[1]);
    }
}
