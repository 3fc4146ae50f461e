<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use App\Models\Workshop;

/** A person goes to another of the workshops that they are in, on all their devices. */
final readonly class EnterWorkshop
{
    public function __invoke(User $user, Workshop $workshop): void
    {
        $user->update(['workshop_id' => $workshop->id]);
    }
}
