<?php

declare(strict_types=1);

namespace App\Http\Requests\History;

use App\Http\Requests\ActionRequest;

final class UndoRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['also' => ['array', 'max:1000'], 'also.*' => ['uuid']];
    }
}
