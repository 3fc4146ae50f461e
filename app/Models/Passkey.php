<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Keys;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Auth;

/**
 * A key in somebody's device that lets them in without a password. Its secret half never leaves the device.
 *
 * @property int $id
 * @property int $user_id
 * @property string $credential how the device names it, Base64url
 * @property string $public_key COSE, Base64url
 * @property int $counter how often it signed; 0 where the device does not count
 * @property string $host the name it is good for
 * @property bool $phone
 * @property int $added_at Unix seconds
 * @property int|null $used_at Unix seconds
 * @property-read User $user
 */
final class Passkey extends Model
{
    use BeginsAlike;

    protected $table = 'passkeys';

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['phone' => 'boolean'];
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
}
