<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Actions\Fitting\FitTerms;
use App\Exceptions\NotPossible;
use App\Http\Requests\ActionRequest;
use App\Models\Role;
use App\Support\CurrentWorkshop;

/** Which chain goes on, on which terms if it would be refused, and how worn the one that comes off was measured to be. */
final class FittingRequest extends ActionRequest
{
    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        is_array($this->input('reading')) && $this->merge(['reading' => ReadingFields::tidy($this->array('reading'))]);
        $this->tidyNumbers();
    }

    protected function fields(): array
    {
        return (is_array($this->input('reading')) ? ReadingFields::rules('reading.') : []) + [
            'chain_id' => ['present', 'nullable', 'integer'],
            'note' => ['nullable', 'string', 'max:200'],
            'new_link' => ['boolean'],
            'link_id' => ['nullable', 'integer'],
            'closings_allowed' => ['nullable', 'integer', 'between:1,100'],
            'opening_holds' => ['nullable', 'boolean'],
            ...self::dayAndTime(),
        ];
    }

    /** Refused with NotPossible at `note` if somebody but the owner overrules. */
    public function terms(): FitTerms
    {
        $note = $this->string('note')->trim()->toString();
        $note === '' || app(CurrentWorkshop::class)->role() === Role::Owner || throw new NotPossible('note', 'owner_overrules');

        return new FitTerms(
            $note === '' ? null : $note,
            $this->boolean('new_link'),
            $this->filled('closings_allowed') ? $this->integer('closings_allowed') : null,
            $this->boolean('new_link') && $this->filled('link_id') ? $this->find()->part($this->input('link_id')) : null,
            $this->filled('opening_holds') ? $this->boolean('opening_holds') : null,
            is_array($this->input('reading'))
                ? (new ReadingFields((array) $this->validated('reading'), $this->find(), $this->translator()->settings))->measuredOff()
                : null,
        );
    }
}
