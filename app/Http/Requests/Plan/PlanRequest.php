<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\ActionRequest;

/** Pot days by hand: tried, or kept. */
final class PlanRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'dates' => ['present', 'array', 'max:120'],
            'dates.*' => ['date_format:Y-m-d', 'distinct'],
            'bottle' => ['boolean'],
            'weeks' => ['nullable', 'integer', 'between:2,26'],
            'pinned' => ['array', 'max:60'],
            'pinned.*' => ['date_format:Y-m-d'],
            'forbidden' => ['array', 'max:60'],
            'forbidden.*' => ['date_format:Y-m-d'],
        ];
    }

    /** @return list<string> */
    public function dates(string $field = 'dates'): array
    {
        $dates = array_map(strval(...), array_values($this->array($field)));
        sort($dates);

        return $dates;
    }
}
