<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\NotPossible;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use App\Support\AppClock;
use App\Support\WriteTransaction;

/** Somebody comes in through an invitation link, with an account of their own. */
final readonly class AcceptInvitation
{
    public function __construct(private AppClock $clock) {}

    /** @throws NotPossible at `token` if the link was used or is too old */
    public function __invoke(Invitation $invitation, string $name, string $email, string $password): User
    {
        return WriteTransaction::run(function () use ($invitation, $name, $email, $password): User {
            $invitation->refresh();
            $invitation->open($this->clock->unixS()) || throw new NotPossible('token', 'invitation_used');
            $user = User::query()->create(['name' => $name, 'email' => $email, 'password' => $password, 'workshop_id' => $invitation->workshop_id]);
            Membership::query()->create(['workshop_id' => $invitation->workshop_id, 'user_id' => $user->id, 'role' => $invitation->role]);
            $invitation->update(['accepted_by' => $user->id]);

            return $user;
        });
    }
}
