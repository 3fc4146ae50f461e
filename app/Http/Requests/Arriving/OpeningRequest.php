<?php

declare(strict_types=1);

namespace App\Http\Requests\Arriving;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\WaxThen;
use Illuminate\Validation\Rule;

/** What a part brought with it, put right. Empty is unknown. */
final class OpeningRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'km' => ['nullable', 'numeric', 'gte:0', 'lte:500000'],
            'wax' => ['required', Rule::enum(WaxThen::class)],
            'since_wax' => ['required_if:wax,known', 'nullable', 'numeric', 'gte:0', 'lte:5000'],
            'closings' => ['nullable', 'integer', 'between:0,100'],
        ];
    }

    public function wax(): WaxThen
    {
        return WaxThen::from($this->string('wax')->toString());
    }

    public function sinceWaxKm(): ?float
    {
        return $this->wax() === WaxThen::Known ? $this->kmIfNamed('since_wax') : null;
    }
}
