<?php

declare(strict_types=1);

namespace App\Http\Requests\Chains;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\Moment;
use Illuminate\Validation\Rule;

/** A chain: its rail, letter, speeds and pitches; a new one also in which state it comes. */
final class ChainRequest extends ActionRequest
{
    protected function fields(): array
    {
        $new = $this->isMethod('POST');

        return [
            'bike_id' => ['required', 'integer'],
            'label' => ['required', 'string', 'max:3', 'regex:/^[\p{L}\p{N}]+$/u'],
            'speeds' => ['required', 'integer', 'between:1,14'],
            // Pitches are counted with the quick link, so the count is even.
            'pitches' => ['nullable', 'integer', 'between:60,180', 'multiple_of:2'],
            'state' => [Rule::requiredIf($new), Rule::in(['boxed', 'bare', 'waxed'])],
            'date' => [Rule::requiredIf($new && $this->input('state') !== 'boxed'), 'nullable', 'date_format:Y-m-d'],
            'time' => [Rule::requiredIf($new && $this->input('state') !== 'boxed'), 'nullable', 'date_format:H:i'],
            'fit' => ['boolean'],
        ];
    }

    public function since(string $state): ?Moment
    {
        return $this->input('state') === $state ? $this->moment() : null;
    }
}
