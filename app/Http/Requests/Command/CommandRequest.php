<?php

declare(strict_types=1);

namespace App\Http\Requests\Command;

use App\Http\Requests\ActionRequest;

final class CommandRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['text' => ['present', 'nullable', 'string', 'max:200']];
    }
}
