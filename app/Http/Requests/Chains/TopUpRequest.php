<?php

declare(strict_types=1);

namespace App\Http\Requests\Chains;

use App\Http\Requests\ActionRequest;

final class TopUpRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['distance' => ['required', 'numeric', 'gt:0', 'lte:2000'], ...self::dayAndTime()];
    }
}
