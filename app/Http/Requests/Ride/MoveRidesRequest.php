<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

/** Rides that were on another bike. */
final class MoveRidesRequest extends ManyRidesRequest
{
    protected function fields(): array
    {
        return ['bike_id' => ['required', 'integer']] + parent::fields();
    }
}
