<?php

declare(strict_types=1);

namespace App\Http\Requests\Chains;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Wear\TypedLength;

/** A plain reading: rule, drop-in gauge (one seat a mark, left out where not tried) or digital gauge. */
final class ReadingRequest extends ActionRequest
{
    /** Inches with their mark are as good as millimetres. */
    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        if (is_string($this->input('length_mm'))) {
            $this->merge(['length_mm' => TypedLength::mm($this->input('length_mm')) ?? $this->input('length_mm')]);
        }
    }

    protected function fields(): array
    {
        return [
            'kind' => ['required', 'in:ruler,drop_in,digital'],
            'pitches' => ['required_if:kind,ruler', 'nullable', 'integer', 'between:1,200'],
            'length_mm' => ['required_if:kind,ruler', 'nullable', 'numeric', 'gt:0', 'lt:3000'],
            'value_pct' => ['required_if:kind,digital', 'nullable', 'numeric', 'between:-1,5'],
            'zero_pct' => ['nullable', 'numeric', 'between:-1,1'],
            'results' => ['required_if:kind,drop_in', 'array'],
            'results.*.mark_pct' => ['required', 'numeric', 'gt:0', 'lte:2'],
            'results.*.seat' => ['required', 'in:rests,part,enters'],
            'sure' => ['boolean'],
            ...self::dayAndTime(),
        ];
    }

    /** Whether somebody sits at the form who can be asked, and has not said yet that it is so. */
    public function asks(): bool
    {
        return $this->has('sure') && ! $this->boolean('sure');
    }

    /** @return array<string, mixed> input of wear.reading */
    public function reading(): array
    {
        return match ($this->input('kind')) {
            'ruler' => ['kind' => 'ruler', 'pitches' => $this->integer('pitches'), 'length_mm' => $this->float('length_mm')],
            'digital' => ['kind' => 'digital', 'value_pct' => $this->float('value_pct'), 'zero_pct' => $this->float('zero_pct')],
            default => ['kind' => 'drop_in', 'results' => array_map(
                fn(array $at) => ['mark_pct' => (float) $at['mark_pct'], 'seat' => $at['seat']],
                array_values($this->array('results')),
            )],
        };
    }
}
