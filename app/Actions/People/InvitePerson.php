<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\Invitation;
use App\Models\Role;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use Illuminate\Support\Str;

/** The owner makes a link that lets one person in. The link is shown once; only its hash is kept. */
final readonly class InvitePerson
{
    private const VALID_DAYS = 7;

    public function __construct(private AppClock $clock) {}

    /** @return string the token of the link */
    public function __invoke(Workshop $workshop, User $owner, Role $role): string
    {
        $token = Str::random(40);
        Invitation::query()->create([
            'workshop_id' => $workshop->id,
            'invited_by' => $owner->id,
            'role' => $role,
            'token_hash' => Invitation::hash($token),
            'expires_at' => $this->clock->unixS() + 86400 * self::VALID_DAYS,
        ]);

        return $token;
    }
}
