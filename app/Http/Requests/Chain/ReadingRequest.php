<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;

/** A chain was measured. */
final class ReadingRequest extends ActionRequest
{
    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->merge(ReadingFields::tidy($this->all()));
        $this->tidyNumbers();
    }

    protected function fields(): array
    {
        return ReadingFields::rules() + self::dayAndTime();
    }

    public function reading(): ReadingFields
    {
        return new ReadingFields((array) $this->validated(), $this->find(), $this->translator()->settings);
    }
}
