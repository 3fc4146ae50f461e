<?php

declare(strict_types=1);

namespace App\Http\Requests\Cost;

use App\Http\Requests\ActionRequest;
use App\Text\Units;

/** How plain drip is taken to do, against which waxing is held. */
final class PlainDripRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'as_wax' => ['nullable', 'numeric', 'between:0.2,5'],
            'every' => ['nullable', 'numeric', 'between:10,5000'],
        ];
    }

    /** Null: the house rule again. */
    public function asWaxOrHouse(): ?float
    {
        return $this->filled('as_wax') ? $this->float('as_wax') : null;
    }

    /** Null: the house rule again. */
    public function kmOrHouse(string $field): ?float
    {
        return $this->filled($field) ? Units::of($this->translator()->settings)->toKm($this->float($field)) : null;
    }
}
