<?php

declare(strict_types=1);

namespace App\Http\Requests\Part;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Wear\TeethSeen;
use Illuminate\Validation\Rule;

/** What somebody saw of the teeth, and when. */
final class TeethRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['teeth' => ['required', Rule::enum(TeethSeen::class)], ...self::dayAndTime()];
    }

    public function seen(): TeethSeen
    {
        return TeethSeen::from($this->string('teeth')->toString());
    }
}
