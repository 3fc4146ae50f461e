<?php

declare(strict_types=1);

namespace App\Http\Requests\Strip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarEntry;
use Illuminate\Validation\Rule;

/** What is done with a jar. */
final class TendRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'act' => ['required', Rule::enum(JarAct::class)],
            'note' => ['nullable', 'string', 'max:120'],
            ...JarRequest::fillingFields(),
            ...self::dayAndTime(),
        ];
    }

    public function entry(): JarEntry
    {
        return JarRequest::entry($this, JarAct::from($this->string('act')->toString()));
    }

    public function note(): ?string
    {
        return $this->filled('note') ? $this->string('note')->trim()->toString() : null;
    }
}
