<?php

declare(strict_types=1);

namespace App\Http\Requests\Arriving;

use App\Arriving\PartsTable;
use App\Http\Requests\ActionRequest;
use App\Text\Units;

/** The text of a table of parts. */
final class PartsTableRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['text' => ['required', 'string', 'max:200000']];
    }

    public function table(): PartsTable
    {
        return PartsTable::read($this->string('text')->toString(), Units::of($this->translator()->settings));
    }
}
