<?php

declare(strict_types=1);

namespace App\Http\Requests\Part;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\PartKind;
use Illuminate\Validation\Rule;

/** A cassette, chainring or pair of jockey wheels goes onto a bike. */
final class PartRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'kind' => ['required', Rule::enum(PartKind::class)->except(PartKind::QuickLink)],
            'name' => ['required', 'string', 'max:40'],
            'km' => ['nullable', 'numeric', 'between:0,500000'],
            'on_trainer' => ['boolean'],
            'replaces' => ['boolean'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
            ...self::dayAndTime(),
        ];
    }

    public function priceMinor(): ?int
    {
        return $this->filled('price') ? $this->translator()->quantities->toMinor($this->float('price')) : null;
    }
}
