<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A link that lets one person into a workshop. Only the hash of its token is kept.
 *
 * @property int $id
 * @property Role $role
 * @property int $expires_at Unix seconds
 * @property int|null $accepted_by
 */
final class Invitation extends WorkshopModel
{
    protected $table = 'invitations';

    public $timestamps = true;

    protected function casts(): array
    {
        return ['role' => Role::class];
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    public static function behind(string $token): self
    {
        return self::query()->where('token_hash', self::hash($token))->firstOrFail();
    }

    public function open(int $nowS): bool
    {
        return $this->accepted_by === null && $this->expires_at > $nowS;
    }
}
