<?php

declare(strict_types=1);

namespace App\Http\Requests\Jobs;

use App\Actions\Jobs\Tap;
use Dripel\Core\Job\JobEventKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Taps of one device in their order, each with an id and the time at which it was made. */
final class TapsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'taps' => ['required', 'array', 'min:1', 'max:200'],
            'taps.*.id' => ['required', 'uuid', 'distinct'],
            'taps.*.kind' => ['required', Rule::enum(JobEventKind::class)],
            'taps.*.position' => ['required', 'integer', 'between:0,10000'],
            'taps.*.at' => ['required', 'integer', 'min:0'],
            'taps.*.ticks' => ['array', 'max:20'],
            'taps.*.ticks.*' => ['string', 'max:40'],
        ];
    }

    /** @return list<Tap> */
    public function taps(): array
    {
        return array_map(fn(array $tap) => new Tap(
            mb_strtolower((string) $tap['id']),
            JobEventKind::from((string) $tap['kind']),
            (int) $tap['position'],
            (int) $tap['at'],
            array_values(array_map(strval(...), $tap['ticks'] ?? [])),
        ), array_values($this->array('taps')));
    }
}
