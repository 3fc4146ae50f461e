<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;

final class MomentRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [...self::dayAndTime()];
    }
}
