<?php

declare(strict_types=1);

namespace App\Http\Requests\Workshop;

use App\Http\Props\SettingsProps;
use App\Http\Requests\ActionRequest;
use App\Text\Translator;
use App\Text\Units;
use App\Weather\WeatherKind;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Wear\LimitSchool;
use Illuminate\Validation\Rule;

final class SettingsRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'time_zone' => ['required', 'timezone:all'],
            'distance_unit' => ['required', Rule::in(Units::DISTANCE)],
            'temperature_unit' => ['required', Rule::in(Units::TEMPERATURE)],
            'mass_unit' => ['required', Rule::in(Units::MASS)],
            'clock' => [Rule::in(Units::CLOCK)],
            'first_day' => ['integer', Rule::in(Units::FIRST_DAYS)],
            'currency' => ['required', Rule::in(Units::CURRENCIES)],
            'language' => ['required', Rule::in(Translator::languages())],
            'interval' => ['required', 'numeric', 'gte:20', 'lte:2000'],
            'limit_school' => ['required', Rule::enum(LimitSchool::class)],
            'ready_school' => ['sometimes', Rule::enum(ReadySchool::class)],
            'topups_most' => ['sometimes', 'integer', 'between:0,20'],
            'drip_dry_hours' => ['sometimes', 'numeric', 'between:0.5,72'],
            'drip_clean' => ['sometimes', Rule::enum(DripCleanSchool::class)],
            'excess_school' => ['sometimes', Rule::enum(ExcessSchool::class)],
            'wipe_rides' => ['sometimes', 'integer', 'between:0,50'],
            'weather' => ['sometimes', Rule::in(['off', ...array_column(WeatherKind::cases(), 'value')])],
            'factors' => ['required', 'array:' . implode(',', array_column(Condition::cases(), 'value'))],
            'factors.*' => ['required', 'numeric', 'gt:0', 'lte:20'],
            'also_past' => ['boolean'],
        ];
    }

    /**
     * Only what was changed: what stands as the form showed it was not said.
     *
     * @return array<string, string|int|float|null> by SettingKey
     */
    public function settings(): array
    {
        $shown = SettingsProps::values($this->translator());
        $text = fn(string $field): string => trim($this->string($field)->toString());
        $said = [
            'name' => [SettingKey::WorkshopName, $text('name')],
            'time_zone' => [SettingKey::TimeZone, $text('time_zone')],
            'distance_unit' => [SettingKey::DistanceUnit, $text('distance_unit')],
            'temperature_unit' => [SettingKey::TemperatureUnit, $text('temperature_unit')],
            'mass_unit' => [SettingKey::MassUnit, $text('mass_unit')],
            'clock' => [SettingKey::Clock, $text('clock')],
            'first_day' => [SettingKey::FirstDay, $this->integer('first_day')],
            'currency' => [SettingKey::Currency, $text('currency')],
            'language' => [SettingKey::Language, $text('language')],
            // In the unit that it was shown in: another one is only another way to show it.
            'interval' => [SettingKey::UsualIntervalKm, round($this->km('interval'), 3)],
            'limit_school' => [SettingKey::UsualLimitSchool, $text('limit_school')],
            'ready_school' => [SettingKey::ReadySchool, $text('ready_school')],
            'topups_most' => [SettingKey::TopUpsMost, $this->integer('topups_most')],
            'drip_dry_hours' => [SettingKey::DripDryHours, $this->float('drip_dry_hours')],
            'drip_clean' => [SettingKey::DripCleanSchool, $text('drip_clean')],
            'excess_school' => [SettingKey::ExcessSchool, $text('excess_school')],
            'wipe_rides' => [SettingKey::WipeRides, $this->integer('wipe_rides')],
            'weather' => [SettingKey::Weather, WeatherKind::tryFrom($text('weather'))?->value],
        ];
        $changed = [];
        foreach ($said as $field => [$key, $value]) {
            if ($this->has($field) && $text($field) !== $shown[$field]) {
                $changed[$key->value] = $value;
            }
        }
        foreach ($shown['factors'] as $condition => $factor) {
            if ($text("factors.{$condition}") !== $factor) {
                $changed["factor.{$condition}"] = $this->float("factors.{$condition}");
            }
        }

        return $changed;
    }
}
