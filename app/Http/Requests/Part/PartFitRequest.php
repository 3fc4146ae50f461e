<?php

declare(strict_types=1);

namespace App\Http\Requests\Part;

use App\Http\Requests\ActionRequest;

/** Onto which bike a part goes. */
final class PartFitRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['bike_id' => ['required', 'integer'], ...self::dayAndTime()];
    }
}
