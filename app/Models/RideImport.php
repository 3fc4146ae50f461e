<?php

declare(strict_types=1);

namespace App\Models;

use App\Ride\ImportState;
use Dripel\Core\Ride\RideFileKind;

/**
 * An archive or a table of rides while it is read. No part of the logbook.
 *
 * @property string $id
 * @property RideFileKind $kind
 * @property string $name
 * @property ImportState $state
 * @property int $total
 * @property int $done how many of its files were looked at
 * @property int $read how many of them could be read
 * @property list<array{name: string, why: string}> $failures
 * @property int $started_at
 * @property int $moved_at when a file of it was last read
 * @property int $reader which of its readers is the one: each that is sent after one that died has the next number
 * @property int $tries how often the file that is next was begun
 */
final class RideImport extends WorkshopModel
{
    protected $table = 'ride_imports';

    public $incrementing = false;

    protected $keyType = 'string';

    protected function casts(): array
    {
        return ['kind' => RideFileKind::class, 'state' => ImportState::class, 'failures' => 'array'];
    }

    /** Where its file lies until it is read. */
    public function path(): string
    {
        return config()->string('dripel.imports') . "/{$this->id}";
    }
}
