<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A person who signs in.
 *
 * @property int $id
 * @property int|null $workshop_id the workshop they are in at the moment
 * @property string $name
 * @property string $email
 * @property string $password its hash
 * @property bool $opens_workshops whether they may open further workshops of this installation
 * @property-read Workshop|null $workshop
 */
final class User extends Authenticatable
{
    use BeginsAlike;

    protected $table = 'users';

    protected $guarded = [];

    protected $hidden = ['password'];

    /** The browser whose cookie told who it is. */
    public ?SignIn $signIn = null;

    private string $token = '';

    protected function casts(): array
    {
        return ['password' => 'hashed', 'opens_workshops' => 'boolean'];
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    public function getRememberToken(): string
    {
        return $this->token;
    }

    public function setRememberToken(#[\SensitiveParameter] $value): void
    {
        $this->token = (string) $value;
    }

    public static function ofTheDemo(): self
    {
        return self::query()->whereRelation('workshop', 'demo', true)->orderBy('id')->firstOrFail();
    }

    public function membershipIn(Workshop $workshop): ?Membership
    {
        return $this->memberships()->where('workshop_id', $workshop->id)->first();
    }
}
