<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** The workshop's units. Conversion happens here, on the way in and on the way out, and nowhere else. */
final readonly class Units
{
    public const DISTANCE = ['km', 'mi'];

    public const TEMPERATURE = ['C', 'F'];

    public const MASS = ['g', 'oz'];

    public const CLOCK = ['24', '12'];

    public const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'CAD', 'AUD', 'JPY'];

    /** ISO weekdays that a week may begin with. */
    public const FIRST_DAYS = [1, 6, 7];

    private const KM_PER_MILE = 1.609344;

    private const GRAMS_PER_OUNCE = 28.349523125;

    public function __construct(
        public string $distance = 'km',
        public string $temperature = 'C',
        public string $mass = 'g',
        public string $currency = 'EUR',
        public string $clock = '24',
        public int $firstDay = 1,
    ) {}

    public static function of(Settings $settings): self
    {
        return new self(
            $settings->text(SettingKey::DistanceUnit, 0, 'km'),
            $settings->text(SettingKey::TemperatureUnit, 0, 'C'),
            $settings->text(SettingKey::MassUnit, 0, 'g'),
            $settings->text(SettingKey::Currency, 0, 'EUR'),
            $settings->text(SettingKey::Clock, 0, '24'),
            $settings->whole(SettingKey::FirstDay, 0, 1),
        );
    }

    public function fromGrams(float $grams): float
    {
        return $this->mass === 'oz' ? $grams / self::GRAMS_PER_OUNCE : $grams;
    }

    public function toGrams(float $mass): float
    {
        return $this->mass === 'oz' ? $mass * self::GRAMS_PER_OUNCE : $mass;
    }

    public function fromCelsius(float $celsius): float
    {
        return $this->temperature === 'F' ? ($celsius * 9) / 5 + 32 : $celsius;
    }

    public function toCelsius(float $temperature): float
    {
        return $this->temperature === 'F' ? (($temperature - 32) * 5) / 9 : $temperature;
    }

    public function toKm(float $distance): float
    {
        return $this->distance === 'mi' ? $distance * self::KM_PER_MILE : $distance;
    }

    public function fromKm(float $km): float
    {
        return $this->distance === 'mi' ? $km / self::KM_PER_MILE : $km;
    }
}
