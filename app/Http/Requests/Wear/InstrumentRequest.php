<?php

declare(strict_types=1);

namespace App\Http\Requests\Wear;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Wear\Instrument;
use Dripel\Core\Wear\InstrumentKind;
use Illuminate\Validation\Rule;

/** An instrument on the bench. */
final class InstrumentRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'kind' => ['required', Rule::enum(InstrumentKind::class)],
            'marks' => ['nullable', 'string', 'max:80'],
            'pitches' => ['nullable', 'integer', 'between:1,200'],
            'uncertainty' => ['nullable', 'numeric', 'gt:0', 'lte:5'],
            'zero' => ['nullable', 'numeric', 'between:-1,1'],
            'gone' => ['boolean'],
        ];
    }

    /** @throws InvalidInput at the field */
    public function instrument(): Instrument
    {
        $usual = Instrument::usual(InstrumentKind::from($this->string('kind')->toString()));
        // "0.5 0.75", "0,5; 0,75": a comma is a decimal one unless a blank follows it.
        $typed = preg_split('/[;\s]+|,\s+/', trim($this->string('marks')->toString()), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $marks = array_map(function (string $mark): float {
            $number = str_replace(',', '.', rtrim($mark, '%'));

            return is_numeric($number) ? (float) $number : throw new InvalidInput('marks', 'must be percent, like 0.5 0.75');
        }, $typed);

        return new Instrument(
            null,
            $usual->kind,
            $marks === [] ? $usual->marks : $marks,
            $this->filled('pitches') ? $this->integer('pitches') : $usual->pitches,
            $this->filled('uncertainty') ? $this->float('uncertainty') : $usual->uncertainty,
            $this->filled('zero') ? $this->float('zero') : 0.0,
        );
    }
}
