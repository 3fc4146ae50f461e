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
            'rust_looked' => ['boolean'],
            ...self::dayAndTime(),
        ];
    }

    /** @return non-empty-list<Chain> */
    public function chains(): array
    {
        $chains = array_map($this->find()->chain(...), array_values($this->array('chains')));
        assert($chains !== []);

        return $chains;
    }
}
