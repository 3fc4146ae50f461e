<?php

declare(strict_types=1);

namespace App\Http\Requests\Arriving;

use App\Actions\Arriving\ArrivingBike;
use App\Actions\Arriving\ArrivingPart;
use App\Http\Requests\ActionRequest;
use App\Logbook\Moments;
use App\Models\Bike;
use App\Models\Chain;
use App\Text\Units;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Plan\LocalDay;
use Illuminate\Validation\Rule;

/** One bike and its used parts, as of a day. Whatever is left empty is unknown. */
final class ArriveRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            // The bike: one of the workshop, or a new one.
            'bike_id' => ['nullable', 'integer'],
            'name' => ['required_without:bike_id', 'nullable', 'string', 'max:40'],
            'kind' => ['required_without:bike_id', 'nullable', Rule::in(Bike::KINDS)],
            'speeds' => ['required_without:bike_id', 'nullable', 'integer', 'between:1,14'],
            'interval' => ['required_without:bike_id', 'nullable', 'numeric', 'gte:20', 'lte:2000'],
            'date' => ['required', 'date_format:Y-m-d'],
            'chains' => ['array', 'max:20'],
            'chains.*.label' => ['required', 'string', 'max:3', 'regex:/^[\p{L}\p{N}]+$/u', 'distinct:ignore_case'],
            'chains.*.state' => ['required', 'in:new,waxed,unsure,none'],
            'chains.*.km' => ['nullable', 'numeric', 'gte:0', 'lte:200000'],
            'chains.*.since_wax' => ['required_if:chains.*.state,waxed', 'nullable', 'numeric', 'gte:0', 'lte:5000'],
            'chains.*.wear' => ['nullable', 'numeric', 'between:-1,5'],
            'chains.*.pitches' => ['nullable', 'integer', 'between:60,180', 'multiple_of:2'],
            'chains.*.closings' => ['nullable', 'integer', 'between:0,100'],
            'chains.*.closings_allowed' => ['nullable', 'integer', 'between:1,100'],
            'chains.*.fitted' => ['boolean'],
            'cassette' => ['nullable', 'array'],
            'ring' => ['nullable', 'array'],
            'cassette.km' => ['nullable', 'numeric', 'gte:0', 'lte:500000'],
            'ring.km' => ['nullable', 'numeric', 'gte:0', 'lte:500000'],
        ];
    }

    protected function prepareForValidation(): void
    {
        // The chains of this form have no ids yet; those of other forms are looked up.
        $chains = $this->input('chains');
        $this->offsetUnset('chains');
        parent::prepareForValidation();
        $this->merge([
            'chains' => array_map(
                fn(mixed $chain) => is_array($chain)
                    ? ['label' => is_string($chain['label'] ?? null) ? mb_strtoupper(trim($chain['label'])) : null] + $chain
                    : $chain,
                is_array($chains) ? array_values($chains) : [],
            ),
        ]);
        $this->tidyNumbers();
    }

    public function arrival(): ArrivingBike
    {
        $bike = $this->bikeIfNamed();
        $parts = array_map($this->arriving(...), array_values($this->array('chains')));
        foreach ([PartKind::Cassette, PartKind::Ring] as $kind) {
            if (is_array($this->input($kind->value))) {
                $parts[] = new ArrivingPart(
                    $kind->value,
                    (string) __("ui.parts.{$kind->value}"),
                    km: $this->kmIfNamed("{$kind->value}.km"),
                );
            }
        }

        return new ArrivingBike(
            $bike ?? [
                SettingKey::BikeName->value => trim($this->string('name')->toString()),
                SettingKey::BikeKind->value => $this->string('kind')->toString(),
                SettingKey::BikeSpeeds->value => $this->integer('speeds'),
                SettingKey::IntervalKm->value => round($this->km('interval'), 3),
                SettingKey::LimitSchool->value => $this->translator()->settings->usualLimitSchool()->value,
            ],
            $parts,
        );
    }

    /** Figures as of a day are those of its first moment; today's are those of now. */
    public function asOf(): Moment
    {
        $date = $this->string('date')->toString();
        $moments = app(Moments::class);
        $now = $moments->now();

        return LocalDay::of($now->unixS, $this->translator()->zone())->date === $date
            ? $now
            : $moments->notAhead(LocalDay::named($date, $this->translator()->zone())->startS(), 'date');
    }

    /** @param array<string, mixed> $chain */
    private function arriving(array $chain): ArrivingPart
    {
        $units = Units::of($this->translator()->settings);
        $number = fn(string $key): ?float => is_numeric($chain[$key] ?? null) ? (float) $chain[$key] : null;
        $whole = fn(string $key): ?int => is_numeric($chain[$key] ?? null) ? (int) $chain[$key] : null;
        $km = fn(string $key): ?float => $number($key) === null ? null : $units->toKm($number($key));

        return new ArrivingPart(
            Chain::KIND,
            (string) $chain['label'],
            pitches: $whole('pitches'),
            km: $km('km'),
            wax: match ($chain['state']) {
                'waxed' => WaxThen::Known,
                'unsure' => WaxThen::Unknown,
                default => WaxThen::None,
            },
            sinceWaxKm: $chain['state'] === 'waxed' ? $km('since_wax') : null,
            reading: $number('wear') === null ? null : ['kind' => 'digital', 'value_pct' => $number('wear')],
            closings: $whole('closings'),
            closingsAllowed: $whole('closings_allowed'),
            fitted: (bool) ($chain['fitted'] ?? false),
            new: $chain['state'] === 'new',
        );
    }
}
