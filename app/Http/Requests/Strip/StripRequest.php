<?php

declare(strict_types=1);

namespace App\Http\Requests\Strip;

use App\Actions\Strip\StripChoices;
use App\Http\Requests\ActionRequest;
use App\Models\Chain;
use Dripel\Core\Strip\Solvent;
use Illuminate\Validation\Rule;

/** Which chains, by which school, from which jars. */
final class StripRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'chains' => ['array', 'max:6'],
            'chains.*' => ['integer', 'distinct'],
            'protocol' => ['required', 'string', 'max:60'],
            'start' => ['nullable', 'numeric', 'gt:0', 'lte:200'],
            'sources' => ['nullable', 'array', 'max:30'],
            'sources.*.jar' => ['nullable', 'integer'],
            'sources.*.into' => ['nullable', 'integer'],
            'without_petrol' => ['boolean'],
            'not_advised' => ['boolean'],
            'unmeasured' => ['boolean'],
            'fresh_wax' => ['boolean'],
            'split' => ['nullable', Rule::enum(Solvent::class)],
            'total_ml' => ['required_with:split', 'nullable', 'numeric', 'gt:0', 'lte:20000'],
            'target_pct' => ['required_with:split', 'nullable', 'numeric', 'gt:0', 'lt:100'],
        ];
    }

    /** A jar of another workshop is not found, whatever else is wrong. */
    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        foreach ((array) $this->input('sources') as $source) {
            array_map($this->find()->jar(...), array_filter([$source['jar'] ?? null, $source['into'] ?? null]));
        }
    }

    /** @return list<'not_advised'|'unmeasured'|'fresh_wax'> what was said before it begins */
    public function agreed(): array
    {
        return array_values(array_filter(['not_advised', 'unmeasured', 'fresh_wax'], fn(string $field) => $this->boolean($field)));
    }

    public function choices(): StripChoices
    {
        $id = fn(mixed $id): ?int => is_numeric($id) ? (int) $id : null;
        $split = $this->filled('split') ? Solvent::from($this->string('split')->toString()) : null;

        return new StripChoices(
            array_map(fn(mixed $chain): Chain => $this->find()->chain($chain), array_values($this->array('chains'))),
            $this->string('protocol')->toString(),
            $this->filled('start') ? $this->translator()->quantities->units->toGrams($this->float('start')) : null,
            $this->filled('sources')
                ? array_map(
                    fn(array $source) => ['jar' => $id($source['jar'] ?? null), 'into' => $id($source['into'] ?? null)],
                    array_values($this->array('sources')),
                )
                : null,
            $this->boolean('without_petrol'),
            $split,
            $this->float('total_ml'),
            $this->float('target_pct') / 100,
        );
    }
}
