<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Keys;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Facades\Auth;

/**
 * A browser in which somebody is signed in. Without this row its session and its cookie are good for nothing.
 *
 * @property int $id
 * @property int $user_id
 * @property string $token_hash of what its cookie remembers it by
 * @property bool $phone
 * @property string $address
 * @property int $expires_at Unix seconds
 * @property int $seen_at Unix seconds
 * @property-read User $user
 * @property-read PushSubscription|null $pushSubscription
 */
final class SignIn extends Model
{
    use BeginsAlike;

    protected $table = 'sign_ins';

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['phone' => 'boolean'];
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    /** One's own only; another one's is not found. */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return Keys::fits($this, $value) ? self::query()->whereKey($value)->where('user_id', Auth::id())->first() : null;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasOne<PushSubscription, $this> */
    public function pushSubscription(): HasOne
    {
        return $this->hasOne(PushSubscription::class);
    }
}
