<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Support\Facades\Auth;

/** The workshop the signed-in person is in, for the length of one request. */
final class CurrentWorkshop
{
    private ?Workshop $workshop = null;

    private ?Membership $membership = null;

    private ?int $userId = null;

    public function workshop(): Workshop
    {
        $this->resolve();

        return $this->workshop ?? throw new AuthenticationException();
    }

    public function role(): Role
    {
        return $this->membership()->role;
    }

    public function membership(): Membership
    {
        $this->resolve();

        return $this->membership ?? throw new AuthenticationException();
    }

    public function user(): User
    {
        $user = Auth::user();

        return $user instanceof User ? $user : throw new AuthenticationException();
    }

    private function resolve(): void
    {
        if ($this->userId === $this->user()->id) {
            return;
        }
        $this->userId = $this->user()->id;
        $workshop = $this->user()->workshop;
        $this->membership = $workshop === null ? null : $this->user()->membershipIn($workshop);
        $this->workshop = $this->membership === null ? null : $workshop;
    }
}
