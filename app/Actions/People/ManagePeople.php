<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\NotPossible;
use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use App\Models\Workshop;
use App\People\SignIns;
use App\Support\WriteTransaction;

/** Roles change, people leave or are shown out. A workshop always has one owner. */
final readonly class ManagePeople
{
    /** Refused with NotPossible at `role` for the owner, who hands over instead. */
    public function changeRole(Membership $membership, Role $role): void
    {
        ($membership->role !== Role::Owner && $role !== Role::Owner) || throw new NotPossible('role', 'owner_hands_over');
        $membership->update(['role' => $role]);
    }

    /** The owner becomes a member, the other one the owner. Refused with NotPossible at `role` for oneself. */
    public function handOver(Workshop $workshop, User $owner, Membership $to): void
    {
        $to->user_id !== $owner->id || throw new NotPossible('role', 'hand_over_to_another');
        WriteTransaction::run(function () use ($workshop, $owner, $to): void {
            Membership::query()
                ->in($workshop)
                ->where('user_id', $owner->id)
                ->update(['role' => Role::Member]);
            $to->update(['role' => Role::Owner]);
        });
    }

    /**
     * Out at once: signed out everywhere, but for who is in another workshop now. What they did stays in the history. Refused with
     * NotPossible at `role` for the owner.
     */
    public function remove(Membership $membership): void
    {
        $membership->role !== Role::Owner || throw new NotPossible('role', 'owner_hands_over_first');
        WriteTransaction::run(function () use ($membership): void {
            $user = User::query()->findOrFail($membership->user_id);
            $membership->delete();
            // Who is in another workshop at the moment stays there.
            if ($user->workshop_id === $membership->workshop_id) {
                $user->update(['workshop_id' => $user->memberships()->orderBy('id')->first()?->workshop_id]);
                SignIns::closeAll($user);
            }
        });
    }
}
