<?php

declare(strict_types=1);

namespace App\Http\Requests\Guided;

use App\Actions\Guided\Tap;
use App\Models\GuidedJob;
use App\Text\Translators;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\PotDay\WaxedSo;
use Dripel\Core\Wear\TeethSeen;
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
            'taps.*.about' => ['array:text,celsius,waxed,chain,before_g,after_g,ml,teeth'],
            'taps.*.about.text' => ['nullable', 'string', 'max:300'],
            'taps.*.about.celsius' => ['nullable', 'numeric', 'between:-30,400'],
            'taps.*.about.ml' => ['nullable', 'numeric', 'gte:0', 'lte:5000'],
            'taps.*.about.teeth' => ['nullable', Rule::enum(TeethSeen::class)],
            'taps.*.about.waxed' => ['nullable', Rule::enum(WaxedSo::class)],
            'taps.*.about.chain' => ['nullable', 'integer', Rule::in($this->job()->chains)],
            'taps.*.about.before_g' => ['nullable', 'numeric', 'gt:0', 'lte:5000'],
            'taps.*.about.after_g' => ['nullable', 'numeric', 'gt:0', 'lte:5000'],
        ];
    }

    private function job(): GuidedJob
    {
        $job = $this->route('job');
        assert($job instanceof GuidedJob);

        return $job;
    }

    /** @return list<Tap> */
    public function taps(): array
    {
        return array_map(
            fn(array $tap) => new Tap(
                mb_strtolower((string) $tap['id']),
                JobEventKind::from((string) $tap['kind']),
                (int) $tap['position'],
                (int) $tap['at'],
                array_values(array_map(strval(...), $tap['ticks'] ?? [])),
                self::about(array_filter((array) ($tap['about'] ?? []), fn(mixed $value) => $value !== null && $value !== '')),
            ),
            array_values($this->array('taps')),
        );
    }

    /**
     * @param array<string, mixed> $about in the units of the workshop
     *
     * @return array<string, string|int|float>
     */
    private static function about(array $about): array
    {
        $units = app(Translators::class)->current()->quantities->units;
        $made = [];
        foreach ($about as $key => $value) {
            $made[$key] = match ($key) {
                'celsius' => $units->toCelsius((float) $value),
                'before_g', 'after_g' => $units->toGrams((float) $value),
                'chain' => (int) $value,
                default => trim((string) $value),
            };
        }

        return $made;
    }
}
