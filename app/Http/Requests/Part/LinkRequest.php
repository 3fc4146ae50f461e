<?php

declare(strict_types=1);

namespace App\Http\Requests\Part;

use App\Http\Requests\ActionRequest;

/** Spare quick links. */
final class LinkRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'count' => ['required', 'integer', 'between:1,50'],
            'speeds' => ['nullable', 'integer', 'between:1,14'],
            'closings_allowed' => ['nullable', 'integer', 'between:1,100'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
        ];
    }

    public function priceMinor(): ?int
    {
        return $this->filled('price') ? $this->translator()->quantities->toMinor($this->float('price')) : null;
    }

    public function wholeIfNamed(string $field): ?int
    {
        return $this->filled($field) ? $this->integer($field) : null;
    }
}
