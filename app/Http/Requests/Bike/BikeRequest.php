<?php

declare(strict_types=1);

namespace App\Http\Requests\Bike;

use App\Http\Requests\ActionRequest;
use App\Models\Bike;
use App\Text\Units;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Wear\LimitSchool;
use Illuminate\Validation\Rule;

final class BikeRequest extends ActionRequest
{
    /** Seven distances, from Monday. */
    private const WEEK = '/^\s*(\d{1,3}([.,]\d+)?\s+){6}\d{1,3}([.,]\d+)?\s*$/';

    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'rider' => ['nullable', 'string', 'max:40'],
            'kind' => ['required', Rule::in(Bike::KINDS)],
            'speeds' => ['required', 'integer', 'between:1,14'],
            'brakes' => ['nullable', Rule::enum(Brakes::class)],
            // Empty where only hours count.
            'interval' => ['required_without:interval_hours', 'nullable', 'numeric', 'gte:20', 'lte:2000'],
            'interval_hours' => ['nullable', 'numeric', 'gt:0', 'lte:500'],
            'limit_school' => ['required', Rule::enum(LimitSchool::class)],
            'chains_wanted' => ['nullable', 'integer', 'between:1,12'],
            'target_life' => ['nullable', 'numeric', 'gt:0', 'lte:200000'],
            'week_summer' => ['nullable', 'string', 'regex:' . self::WEEK],
            'week_winter' => ['nullable', 'string', 'regex:' . self::WEEK],
            'by_ear' => ['boolean'],
            'drip_only' => ['boolean'],
            'also_past' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['interval.required_without' => (string) __('errors.interval_or_hours')] +
            array_fill_keys(['week_summer.regex', 'week_winter.regex'], (string) __('errors.week'));
    }

    /** @return array<string, string|int|float|list<mixed>|null> by SettingKey */
    public function settings(): array
    {
        return [
            SettingKey::BikeName->value => trim($this->string('name')->toString()),
            SettingKey::BikeKind->value => $this->string('kind')->toString(),
            SettingKey::BikeSpeeds->value => $this->integer('speeds'),
            SettingKey::IntervalKm->value => $this->filled('interval') ? round($this->km('interval'), 3) : null,
            SettingKey::IntervalHours->value => $this->filled('interval_hours') ? $this->float('interval_hours') : null,
            SettingKey::LimitSchool->value => $this->string('limit_school')->toString(),
        ] +
            ($this->has('rider') ? [SettingKey::BikeRider->value => trim($this->string('rider')->toString()) ?: null] : []) +
            ($this->has('by_ear') ? [SettingKey::ByEar->value => (int) $this->boolean('by_ear')] : []) +
            $this->weeks() +
            ($this->filled('brakes') ? [SettingKey::BikeBrakes->value => $this->string('brakes')->toString()] : []) +
            ($this->has('drip_only') ? [SettingKey::DripOnly->value => (int) $this->boolean('drip_only')] : []) +
            ($this->has('chains_wanted')
                ? [SettingKey::ChainsWanted->value => $this->filled('chains_wanted') ? $this->integer('chains_wanted') : null]
                : []) +
            ($this->has('target_life')
                ? [SettingKey::TargetLifeKm->value => $this->filled('target_life') ? round($this->km('target_life'), 3) : null]
                : []);
    }

    /** @return array<string, list<float>|null> what it is ridden by weekday, in km */
    private function weeks(): array
    {
        $units = Units::of($this->translator()->settings);
        $weeks = [];
        foreach (['week_summer' => SettingKey::WeekSummer, 'week_winter' => SettingKey::WeekWinter] as $field => $key) {
            if ($this->has($field)) {
                $days = preg_split('/\s+/', trim(str_replace(',', '.', $this->string($field)->toString())), -1, PREG_SPLIT_NO_EMPTY) ?: [];
                $weeks[$key->value] = $days === [] ? null : array_map(fn(string $day) => round($units->toKm((float) $day), 2), $days);
            }
        }

        return $weeks;
    }
}
