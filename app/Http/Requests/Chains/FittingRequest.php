<?php

declare(strict_types=1);

namespace App\Http\Requests\Chains;

use App\Http\Requests\ActionRequest;

final class FittingRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['chain_id' => ['present', 'nullable', 'integer'], ...self::dayAndTime()];
    }
}
