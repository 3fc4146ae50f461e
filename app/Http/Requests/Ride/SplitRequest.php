<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use App\Http\Requests\ActionRequest;

/** After so much of the ride, at this time, another chain went on. */
final class SplitRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['distance' => ['required', 'numeric', 'gt:0'], 'chain_id' => ['required', 'integer'], ...self::dayAndTime()];
    }
}
