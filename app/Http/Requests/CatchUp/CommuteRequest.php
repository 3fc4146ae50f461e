<?php

declare(strict_types=1);

namespace App\Http\Requests\CatchUp;

use App\Http\Requests\ActionRequest;
use App\Models\Commute;
use App\Text\Duration;
use Closure;
use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** The weekly commute: which days, how far, from when on. */
final class CommuteRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'bike_id' => ['required', 'integer'],
            'weekdays' => ['required', 'array', 'min:1'],
            'weekdays.*' => ['integer', 'between:1,7', 'distinct'],
            'time' => ['required', 'date_format:H:i'],
            'distance' => ['required', 'numeric', 'gt:0', 'lte:500'],
            'hours' => [
                'nullable',
                'string',
                function (string $attribute, mixed $value, Closure $fail): void {
                    Duration::hours((string) $value) ?? $fail('validation.duration')->translate();
                },
            ],
            'condition' => ['required', Rule::enum(Condition::class)],
            'from' => ['required', 'date_format:Y-m-d'],
            'until' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:from'],
        ];
    }

    /**
     * @param Commute|null $seen that is put right
     *
     * @return array<string, mixed> the columns of its row
     */
    public function columns(?Commute $seen = null): array
    {
        $weekdays = array_map(intval(...), array_values($this->array('weekdays')));
        sort($weekdays);

        return [
            'bike_id' => $this->bike()->id,
            'weekdays' => $weekdays,
            'time' => $this->string('time')->toString(),
            'km' => $this->kmIfNamed('distance', $seen?->km, 2),
            'hours' => $this->hoursIfNamed('hours', $seen?->hours),
            'condition' => Condition::from($this->string('condition')->toString()),
            'from_date' => $this->string('from')->toString(),
            'until_date' => $this->filled('until') ? $this->string('until')->toString() : null,
        ];
    }
}
