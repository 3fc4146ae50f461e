<?php

declare(strict_types=1);

namespace App\Http\Requests\History;

use App\Http\Requests\ActionRequest;

final class MoveRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [...self::dayAndTime()];
    }
}
