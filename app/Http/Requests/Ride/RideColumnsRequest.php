<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\RideColumn;
use Dripel\Core\Ride\RideColumns;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the columns of a table of rides are. */
final class RideColumnsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'at' => ['required', 'array:' . implode(',', array_column(RideColumn::cases(), 'value'))],
            'at.*' => ['nullable', 'integer', 'between:0,500'],
            'distance' => ['required', Rule::in(array_keys(RideColumns::DISTANCES))],
            'duration' => ['required', Rule::in(array_keys(RideColumns::DURATIONS))],
            'day_first' => ['boolean'],
        ];
    }

    /** @throws InvalidInput at the column that is missing */
    public function columns(): RideColumns
    {
        $at = array_map(intval(...), array_filter($this->array('at'), fn(mixed $index) => $index !== null));

        return new RideColumns(
            $at,
            $this->string('distance')->toString(),
            $this->string('duration')->toString(),
            $this->boolean('day_first'),
        );
    }
}
