<?php

declare(strict_types=1);

namespace App\Http\Requests\History;

use App\Http\Requests\ActionRequest;

final class DeleteRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [];
    }
}
