<?php

declare(strict_types=1);

namespace App\Http\Requests\Road;

use App\Http\Requests\ActionRequest;
use App\Models\Ride;

/** Rides that were on another bike. */
final class MoveRidesRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['bike_id' => ['required', 'integer'], 'rides' => ['required', 'array', 'min:1', 'max:500'], 'rides.*' => ['integer', 'distinct']];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        array_map($this->find()->ride(...), array_filter((array) $this->input('rides'), is_scalar(...)));
    }

    /** @return non-empty-list<Ride> */
    public function rides(): array
    {
        $rides = array_map($this->find()->ride(...), array_values($this->array('rides')));
        assert($rides !== []);

        return $rides;
    }
}
