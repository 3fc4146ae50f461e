<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\User;
use App\Models\Workshop;

/**
 * Who does it, in which workshop, under which id. The id comes from the form: sent twice, it is done once. `sent` is a digest of what
 * the form holds; null where no form speaks.
 */
final readonly class ActionContext
{
    public function __construct(public Workshop $workshop, public ?User $user, public string $actionId, public ?string $sent = null) {}
}
