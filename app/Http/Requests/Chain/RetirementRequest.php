<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Wear\TeethSeen;
use Illuminate\Validation\Rule;

/** When a chain goes out of use, and what the teeth look like that it ran on. */
final class RetirementRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['teeth' => ['nullable', Rule::enum(TeethSeen::class)], ...self::dayAndTime()];
    }

    /** Null: nobody looked. */
    public function seen(): ?TeethSeen
    {
        return TeethSeen::tryFrom($this->string('teeth')->toString());
    }
}
