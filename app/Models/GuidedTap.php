<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Guided\JobEventKind;

/**
 * One tap while a guided job runs, with the time at which it was made.
 *
 * @property string $id
 * @property string $job_id
 * @property JobEventKind $kind
 * @property int $position
 * @property int $at
 * @property int $received_at
 * @property int $number
 * @property array<string, string|int|float>|null $about
 */
final class GuidedTap extends WorkshopModel
{
    protected $table = 'guided_taps';

    public $incrementing = false;

    protected $keyType = 'string';

    protected function casts(): array
    {
        return ['kind' => JobEventKind::class, 'about' => 'array'];
    }
}
