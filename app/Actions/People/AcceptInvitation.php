<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\NotPossible;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Illuminate\Support\Facades\Hash;

/** Somebody comes in through an invitation link, with an account of their own. */
final readonly class AcceptInvitation
{
    public function __construct(private AppClock $clock) {}

    /**
     * With the account of that e-mail, if there is one.
     *
     * @throws NotPossible at `token` if the link was used or is too old, at `password` if it is not that account's
     */
    public function __invoke(Invitation $invitation, string $name, string $email, string $password): User
    {
        return WriteTransaction::run(function () use ($invitation, $name, $email, $password): User {
            $this->expectOpen($invitation);
            $user = User::query()->where('email', $email)->first();
            $user === null || Hash::check($password, $user->password) || throw new NotPossible('password', 'account_exists');
            $user ??= User::query()->create(['name' => $name, 'email' => $email, 'password' => $password]);
            $this->join($invitation, $user);

            return $user;
        });
    }

    /** Somebody who is signed in comes into this workshop too. Refused as above. */
    public function withAccount(Invitation $invitation, User $user): void
    {
        WriteTransaction::run(function () use ($invitation, $user): void {
            $this->expectOpen($invitation);
            $this->join($invitation, $user);
        });
    }

    private function expectOpen(Invitation $invitation): void
    {
        $invitation->refresh();
        $invitation->open($this->clock->unixS()) || throw new NotPossible('token', 'invitation_used');
    }

    private function join(Invitation $invitation, User $user): void
    {
        $user->update(['workshop_id' => $invitation->workshop_id]);
        Membership::query()->firstOrCreate(
            ['workshop_id' => $invitation->workshop_id, 'user_id' => $user->id],
            ['role' => $invitation->role],
        );
        $invitation->update(['accepted_by' => $user->id]);
    }
}
