<?php

declare(strict_types=1);

namespace App\Http\Requests\Wear;

use App\Http\Requests\ActionRequest;

/** Whether an advised interval is taken. */
final class AdviceRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['accept' => ['required', 'boolean']];
    }
}
