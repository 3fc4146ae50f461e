<?php

declare(strict_types=1);

namespace App\Http\Requests\Workshop;

use App\Http\Requests\ActionRequest;
use App\Text\Units;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Wear\LimitSchool;
use Illuminate\Validation\Rule;

final class SettingsRequest extends ActionRequest
{
    public const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD', 'JPY'];

    /** @return list<string> the folders of lang/ */
    public static function languages(): array
    {
        return array_map(basename(...), glob(lang_path('*'), GLOB_ONLYDIR) ?: []);
    }

    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'time_zone' => ['required', 'timezone:all'],
            'distance_unit' => ['required', Rule::in(Units::DISTANCE)],
            'temperature_unit' => ['required', Rule::in(Units::TEMPERATURE)],
            'mass_unit' => ['required', Rule::in(Units::MASS)],
            'currency' => ['required', Rule::in(self::CURRENCIES)],
            'language' => ['required', Rule::in(self::languages())],
            'interval' => ['required', 'numeric', 'gte:20', 'lte:2000'],
            'limit_school' => ['required', Rule::enum(LimitSchool::class)],
            'ready_school' => ['sometimes', Rule::enum(ReadySchool::class)],
            'topups_most' => ['sometimes', 'integer', 'between:0,20'],
            'drip_dry_hours' => ['sometimes', 'numeric', 'between:0.5,72'],
            'drip_clean' => ['sometimes', Rule::enum(DripCleanSchool::class)],
            'excess_school' => ['sometimes', Rule::enum(ExcessSchool::class)],
            'wipe_rides' => ['sometimes', 'integer', 'between:0,50'],
            'factors' => ['required', 'array:' . implode(',', array_column(Condition::cases(), 'value'))],
            'factors.*' => ['required', 'numeric', 'gt:0', 'lte:20'],
            'also_past' => ['boolean'],
        ];
    }

    /** @return array<string, string|int|float|null> by SettingKey */
    public function settings(): array
    {
        $factors = [];
        foreach (Condition::cases() as $condition) {
            $factors["factor.{$condition->value}"] = $this->float("factors.{$condition->value}");
        }

        return [
            SettingKey::WorkshopName->value => trim($this->string('name')->toString()),
            SettingKey::TimeZone->value => $this->string('time_zone')->toString(),
            SettingKey::DistanceUnit->value => $this->string('distance_unit')->toString(),
            SettingKey::TemperatureUnit->value => $this->string('temperature_unit')->toString(),
            SettingKey::MassUnit->value => $this->string('mass_unit')->toString(),
            SettingKey::Currency->value => $this->string('currency')->toString(),
            SettingKey::Language->value => $this->string('language')->toString(),
            // In the unit that it was shown in: another one is only another way to show it.
            SettingKey::UsualIntervalKm->value => round($this->km('interval'), 3),
            SettingKey::UsualLimitSchool->value => $this->string('limit_school')->toString(),
            SettingKey::ReadySchool->value => $this->string(
                'ready_school',
                $this->translator()->settings->readySchool()->value,
            )->toString(),
            ...$this->has('topups_most') ? [SettingKey::TopUpsMost->value => $this->integer('topups_most')] : [],
            ...$this->has('drip_dry_hours') ? [SettingKey::DripDryHours->value => $this->float('drip_dry_hours')] : [],
            ...$this->has('drip_clean') ? [SettingKey::DripCleanSchool->value => $this->string('drip_clean')->toString()] : [],
            ...$this->has('excess_school') ? [SettingKey::ExcessSchool->value => $this->string('excess_school')->toString()] : [],
            ...$this->has('wipe_rides') ? [SettingKey::WipeRides->value => $this->integer('wipe_rides')] : [],
        ] + $factors;
    }
}
