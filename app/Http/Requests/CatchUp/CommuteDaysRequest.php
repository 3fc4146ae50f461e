<?php

declare(strict_types=1);

namespace App\Http\Requests\CatchUp;

use App\Http\Requests\ActionRequest;

/** Days that filled themselves in: ridden, or not. */
final class CommuteDaysRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'dates' => ['required', 'array', 'min:1', 'max:400'],
            'dates.*' => ['date_format:Y-m-d'],
            'ridden' => ['required', 'boolean'],
        ];
    }

    /** @return list<string> */
    public function dates(): array
    {
        return array_map(strval(...), array_values($this->array('dates')));
    }
}
