<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Actions\Pot\DipTerms;
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
            'stripped' => ['boolean'],
            'pot_id' => ['nullable', 'integer'],
            'rinsed' => ['array', 'max:100'],
            'rinsed.*' => ['integer'],
            // Grams that a chain took along, by chain, where it was weighed before and after.
            'pickups' => ['array', 'max:100'],
            'pickups.*' => ['nullable', 'numeric', 'between:0,200'],
            ...self::dayAndTime(),
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->filled('pot_id') && $this->find()->pot($this->input('pot_id'));
        array_map($this->find()->chain(...), array_filter($this->array('rinsed'), is_numeric(...)));
    }

    public function terms(): DipTerms
    {
        $units = $this->translator()->quantities->units;
        $pickups = array_filter($this->array('pickups'), is_numeric(...));

        return new DipTerms(
            $this->filled('pot_id') ? $this->find()->pot($this->input('pot_id')) : null,
            array_combine(
                array_map(intval(...), array_keys($pickups)),
                array_map(fn(mixed $mass) => $units->toGrams((float) $mass), $pickups),
            ),
            array_values(array_map(intval(...), $this->array('rinsed'))),
        );
    }

    /** @return non-empty-list<Chain> */
    public function chains(): array
    {
        $chains = array_map($this->find()->chain(...), array_values($this->array('chains')));
        assert($chains !== []);

        return $chains;
    }
}
