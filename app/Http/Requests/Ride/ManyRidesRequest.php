<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use App\Http\Requests\ActionRequest;
use App\Models\Ride;

/** Something that is done to many rides at once. */
abstract class ManyRidesRequest extends ActionRequest
{
    public const MOST = 500;

    protected function fields(): array
    {
        return ['rides' => ['required', 'array', 'min:1', 'max:' . self::MOST], 'rides.*' => ['integer', 'distinct']];
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
