<?php

declare(strict_types=1);

namespace App\People;

use App\Models\SignIn;
use App\Models\User;
use App\Support\AppClock;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Hashing\Hasher;

/** Knows people by the cookie of a browser in which they are signed in, instead of one token for all their browsers. */
final class RememberedUsers extends EloquentUserProvider
{
    public function __construct(Hasher $hasher, private readonly AppClock $clock)
    {
        parent::__construct($hasher, User::class);
    }

    public function retrieveByToken($identifier, #[\SensitiveParameter] $token): ?User
    {
        $signIn = SignIn::query()
            ->with('user')
            ->where('token_hash', SignIn::hash($token))
            ->where('user_id', $identifier)
            ->where('expires_at', '>', $this->clock->unixS())
            ->first();
        if ($signIn === null) {
            return null;
        }
        $signIn->user->signIn = $signIn;

        return $signIn->user;
    }

    /** There is no token of a person. */
    public function updateRememberToken(Authenticatable $user, #[\SensitiveParameter] $token): void {}
}
