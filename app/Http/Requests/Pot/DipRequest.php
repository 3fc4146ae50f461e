<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Http\Requests\ActionRequest;
use App\Models\Chain;

final class DipRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'chains' => ['required', 'array', 'min:1', 'max:100'],
            'chains.*' => ['integer', 'distinct'],
            // Checked by a person before every dip; it cannot be skipped.
            'dry' => ['accepted'],
            ...self::dayAndTime(),
        ];
    }

    /** @return non-empty-list<Chain> */
    public function chains(): array
    {
        $chains = array_values(Chain::query()->in($this->workshop())->live()->whereKey($this->array('chains'))->orderBy('id')->get()->all());
        assert($chains !== []);

        return $chains;
    }
}
