<?php

declare(strict_types=1);

namespace App\Http\Requests\Arriving;

use App\Http\Requests\ActionRequest;
use App\Models\Opening;
use Dripel\Core\Logbook\Moment;
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
            // Of when these figures are; without, the day stays.
            'date' => ['nullable', 'date_format:Y-m-d'],
            'time' => ['nullable', 'date_format:H:i'],
        ];
    }

    /** Null: the day stays. */
    public function asOf(Opening $seen): ?Moment
    {
        $shown = $this->translator()->quantities->date($seen->at, 'yyyy-MM-dd');
        $shownTime = $this->translator()->quantities->date($seen->at, 'HH:mm');

        return !$this->filled('date') ||
            ($this->string('date')->toString() === $shown && (!$this->filled('time') || $this->string('time')->toString() === $shownTime))
            ? null
            : $this->moment();
    }

    public function wax(): WaxThen
    {
        return WaxThen::from($this->string('wax')->toString());
    }

    public function sinceWaxKm(?Opening $seen = null): ?float
    {
        return $this->wax() === WaxThen::Known ? $this->kmIfNamed('since_wax', $seen?->since_wax_km) : null;
    }
}
