<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Actions\Fitting\MeasuredOff;
use App\Support\Find;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Wear\Instrument;
use Dripel\Core\Wear\InstrumentKind;
use Dripel\Core\Wear\TypedLength;

/**
 * A reading as a form sends it: the instrument, and what it showed at one spot or several. Of the rule a length, of the digital
 * gauge a value, of the drop-in gauge one seat a mark, left out where not tried.
 */
final readonly class ReadingFields
{
    private const MOST_SPOTS = 12;

    /** @param array<string, mixed> $data validated */
    public function __construct(private array $data, private Find $find, private Settings $settings) {}

    /** @return array<string, mixed> for wherever in a form it stands, like "reading." */
    public static function rules(string $at = ''): array
    {
        $rules = [
            'instrument_id' => ['nullable', 'integer'],
            'kind' => ['required', 'in:ruler,drop_in,digital'],
            'pitches' => ['nullable', 'integer', 'between:1,200'],
            'zero_pct' => ['nullable', 'numeric', 'between:-1,1'],
            'spots' => ['required', 'array', 'max:' . self::MOST_SPOTS],
            'spots.*.length_mm' => ["required_if:{$at}kind,ruler", 'nullable', 'numeric', 'gt:0', 'lt:3000'],
            'spots.*.value_pct' => ["required_if:{$at}kind,digital", 'nullable', 'numeric', 'between:-1,5'],
            'spots.*.results' => ["required_if:{$at}kind,drop_in", 'nullable', 'array'],
            'spots.*.results.*.mark_pct' => ['required', 'numeric', 'gt:0', 'lte:2'],
            'spots.*.results.*.seat' => ['required', 'in:rests,part,enters'],
            'sure' => ['boolean'],
        ];

        return array_combine(array_map(fn(string $field) => $at . $field, array_keys($rules)), $rules);
    }

    /**
     * Inches with their mark are as good as millimetres. Without `spots` the fields of one may
     * stand beside the instrument.
     *
     * @param array<string, mixed> $data as it was sent
     *
     * @return array<string, mixed>
     */
    public static function tidy(array $data): array
    {
        $spots = $data['spots'] ?? [array_intersect_key($data, ['length_mm' => 1, 'value_pct' => 1, 'results' => 1])];
        $data['spots'] = !is_array($spots)
            ? $spots
            : array_map(
                fn(mixed $spot): mixed => !is_array($spot)
                    ? $spot
                    : array_filter(
                        [
                            'length_mm' => is_string($spot['length_mm'] ?? null)
                                ? TypedLength::mm($spot['length_mm']) ?? $spot['length_mm']
                                : $spot['length_mm'] ?? null,
                            'value_pct' => $spot['value_pct'] ?? null,
                            'results' => $spot['results'] ?? null,
                        ],
                        fn(mixed $value) => $value !== null && $value !== '',
                    ),
                array_values($spots),
            );

        return $data;
    }

    /** Whether somebody sits at the form who can be asked, and has not said yet that it is so. */
    public function asks(): bool
    {
        return array_key_exists('sure', $this->data) && !filter_var($this->data['sure'], FILTER_VALIDATE_BOOLEAN);
    }

    /** One of the workshop's own; null: one as they usually are. */
    public function instrumentId(): ?int
    {
        return ($this->data['instrument_id'] ?? null) === null ? null : $this->find->instrument($this->data['instrument_id'])->id;
    }

    /** @return array<string, mixed> input of wear.reading */
    public function input(): array
    {
        return $this->instrument()->input(
            array_map(
                fn(array $spot): array => match ($this->data['kind']) {
                    'ruler' => ['length_mm' => (float) $spot['length_mm']],
                    'digital' => ['value_pct' => (float) $spot['value_pct']],
                    default => [
                        'results' => array_map(
                            fn(array $at) => ['mark_pct' => (float) $at['mark_pct'], 'seat' => $at['seat']],
                            array_values($spot['results']),
                        ),
                    ],
                },
                array_values($this->data['spots']),
            ),
        );
    }

    public function measuredOff(): MeasuredOff
    {
        return new MeasuredOff($this->input(), $this->asks(), $this->instrumentId());
    }

    /** What stands in the form goes before what is known of the instrument. */
    private function instrument(): Instrument
    {
        $id = $this->instrumentId();
        $kept = $id === null ? null : Instrument::kept($this->settings, $id);
        $kind = InstrumentKind::from((string) $this->data['kind']);
        $kept = $kept === null || $kept->kind !== $kind ? Instrument::usual($kind) : $kept;

        return new Instrument(
            $kept->id,
            $kind,
            $kept->marks,
            is_numeric($this->data['pitches'] ?? null) ? (int) $this->data['pitches'] : $kept->pitches,
            $kept->uncertainty,
            is_numeric($this->data['zero_pct'] ?? null) ? (float) $this->data['zero_pct'] : $kept->zeroPct,
        );
    }
}
