<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Http\Requests\ActionRequest;

/** How a pot is to be heated: from where to where, on low or high, and when it should be ready. */
final class HeatRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'power' => ['required', 'in:low,high'],
            'start' => ['required', 'numeric', 'between:-40,250'],
            'target' => ['required', 'numeric', 'between:0,400'],
            'by' => ['nullable', 'date_format:H:i'],
        ];
    }

    public function celsius(string $field): float
    {
        return $this->translator()->quantities->units->toCelsius($this->float($field));
    }
}
