<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where a browser takes messages while Dripel is closed: an address of its own message service, and its keys (RFC 8291).
 *
 * @property int $id
 * @property int $sign_in_id
 * @property string $endpoint
 * @property string $p256dh
 * @property string $auth
 * @property list<string> $told the tags it has been told lately
 * @property-read SignIn $signIn
 */
final class PushSubscription extends Model
{
    use BeginsAlike;

    protected $table = 'push_subscriptions';

    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['told' => 'array'];
    }

    /** @return BelongsTo<SignIn, $this> */
    public function signIn(): BelongsTo
    {
        return $this->belongsTo(SignIn::class);
    }
}
