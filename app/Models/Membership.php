<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * @property int $user_id
 * @property Role $role
 * @property string|null $calendar_hash of the secret in this person's address for calendars; null: they have none
 * @property bool $only_mine whether this person looks at their own bikes alone
 * @property-read User $user
 * @property-read Workshop $workshop
 */
final class Membership extends WorkshopModel
{
    protected $table = 'memberships';

    public $timestamps = true;

    protected function casts(): array
    {
        return ['role' => Role::class, 'only_mine' => 'boolean'];
    }

    /** Whose address for calendars it is. */
    public static function behindCalendar(string $secret): self
    {
        return self::query()->where('calendar_hash', self::hash($secret))->firstOrFail();
    }

    /** @return string the secret, which nobody can read again */
    public function makeCalendar(): string
    {
        $secret = Str::random(40);
        $this->update(['calendar_hash' => self::hash($secret)]);

        return $secret;
    }

    private static function hash(string $secret): string
    {
        return hash('sha256', $secret);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
