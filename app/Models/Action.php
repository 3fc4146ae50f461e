<?php

declare(strict_types=1);

namespace App\Models;

use App\Logbook\About;
use App\Logbook\ActionKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One thing a person did. Its id comes with the form, so that nothing is done twice.
 *
 * @property string $id
 * @property int|null $user_id
 * @property string|null $user_name who did it, where the account is not here
 * @property ActionKind $kind
 * @property string|null $sent a digest of what its form held
 * @property int $recorded_at Unix seconds
 * @property int $revision
 * @property About $about
 * @property list<array{string, int, string|null, string|null}> $effects
 * @property string|null $reverted_by
 * @property-read User|null $user
 */
final class Action extends WorkshopModel
{
    protected $table = 'actions';

    public $incrementing = false;

    protected $keyType = 'string';

    protected function casts(): array
    {
        return ['kind' => ActionKind::class, 'about' => About::class, 'effects' => 'array'];
    }

    public function who(): string
    {
        return $this->user->name ?? ($this->user_name ?? '');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
