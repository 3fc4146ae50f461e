<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Workshop;
use App\Support\Reach;
use App\Text\Translator;
use App\Text\Units;
use App\Weather\KeptRain;
use App\Weather\WeatherKind;
use DateTimeZone;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Wear\LimitSchool;
use Locale;

/**
 * What the workshop and this device can set. What only one part of the page shows is asked for when that part is opened.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type KeepView from KeepProps
 * @phpstan-import-type PeopleView from PeopleProps
 *
 * @phpstan-type SettingsValues array{
 *     name: string,
 *     time_zone: string,
 *     distance_unit: string,
 *     temperature_unit: string,
 *     mass_unit: string,
 *     clock: string,
 *     first_day: string,
 *     currency: string,
 *     language: string,
 *     interval: string,
 *     limit_school: 'strict'|'by_speeds'|'one_mark'|'digital',
 *     ready_school: 'cold'|'next_day',
 *     topups_most: string,
 *     drip_dry_hours: string,
 *     excess_school: 'wipe'|'leave',
 *     drip_clean: value-of<DripCleanSchool>,
 *     wipe_rides: string,
 *     weather: string,
 *     factors: array<string, string>,
 * }
 * @phpstan-type SettingsPage array{
 *     values: SettingsValues,
 *     factors: list<array{value: string, name: string, house: bool}>,
 *     choices: array{
 *         zones: list<string>,
 *         distance: list<Choice>,
 *         temperature: list<Choice>,
 *         mass: list<Choice>,
 *         clocks: list<Choice>,
 *         firstDays: list<Choice>,
 *         currencies: list<Choice>,
 *         languages: list<Choice>,
 *         schools: list<array{value: string, title: string, reason: string}>,
 *         ready: list<Choice>,
 *         excess: list<Choice>,
 *         dripClean: list<Choice>,
 *         weather: list<Choice>,
 *         intervals: list<array{value: string, title: string, reason: string}>,
 *     },
 *     lan: string|null,
 *     rain?: string,
 *     bikes?: list<array{id: int, name: string, interval: string, limit: string}>,
 *     people?: PeopleView,
 *     keep?: KeepView,
 * }
 */
final readonly class SettingsProps
{
    public function __construct(private Translator $translator) {}

    /** What is known from tables; empty: nothing. */
    public function rain(KeptRain $keptRain, Workshop $workshop): string
    {
        $translator = $this->translator;
        $known = $keptRain->known($workshop);

        return $known === null
            ? ''
            : $translator->say('ui.weather.known', [
                'hours' => $translator->quantities->number($known[0]),
                'from' => $translator->quantities->day($known[1]),
                'until' => $translator->quantities->day($known[2]),
            ]);
    }

    /**
     * @param list<string> $codes
     *
     * @return list<Choice> what is written the same everywhere
     */
    private static function codes(array $codes): array
    {
        return array_map(fn(string $code) => ['value' => $code, 'title' => $code], $codes);
    }

    /** @return SettingsValues the settings as their form shows them */
    public static function values(Translator $translator): array
    {
        $factors = $translator->settings->factors($translator->nowS);
        $units = $translator->quantities->units;

        return [
            'name' => $translator->settings->text(SettingKey::WorkshopName, 0),
            'time_zone' => $translator->zone()->getName(),
            'distance_unit' => $units->distance,
            'temperature_unit' => $units->temperature,
            'mass_unit' => $units->mass,
            'clock' => $units->clock,
            'first_day' => (string) $units->firstDay,
            'currency' => $units->currency,
            'language' => $translator->settings->text(SettingKey::Language, 0, 'en'),
            'interval' => (string) round($units->fromKm($translator->settings->usualIntervalKm()), 1),
            'limit_school' => $translator->settings->usualLimitSchool()->value,
            'ready_school' => $translator->settings->readySchool()->value,
            'topups_most' => (string) $translator->settings->topUpsMost(),
            'drip_dry_hours' => (string) $translator->settings->dripDryHours(),
            'drip_clean' => $translator->settings->dripCleanSchool()->value,
            'excess_school' => $translator->settings->excessSchool()->value,
            'wipe_rides' => (string) $translator->settings->wipeRides(),
            'weather' => $translator->settings->text(SettingKey::Weather, 0, 'off'),
            'factors' => array_map(fn(float $factor) => (string) $factor, $factors->toArray()),
        ];
    }

    /** @return SettingsPage */
    public function page(): array
    {
        $translator = $this->translator;
        $factors = $translator->settings->factors($translator->nowS);

        return [
            'values' => self::values($translator),
            'factors' => array_map(
                fn(Condition $condition) => [
                    'value' => $condition->value,
                    'name' => ucfirst($translator->say("chain.condition.{$condition->value}")),
                    'house' => $factors->isHouseRule($condition),
                ],
                Condition::cases(),
            ),
            'choices' => [
                'zones' => DateTimeZone::listIdentifiers(),
                'distance' => self::codes(Units::DISTANCE),
                'temperature' => array_map(fn(string $unit) => ['value' => $unit, 'title' => "°{$unit}"], Units::TEMPERATURE),
                'mass' => self::codes(Units::MASS),
                'clocks' => array_map(
                    fn(string $clock) => ['value' => $clock, 'title' => $translator->say("ui.settings.clocks.{$clock}")],
                    Units::CLOCK,
                ),
                'firstDays' => array_map(
                    fn(int $day) => ['value' => (string) $day, 'title' => $translator->weekday($day, 'EEEE')],
                    Units::FIRST_DAYS,
                ),
                'currencies' => self::codes(Units::CURRENCIES),
                'languages' => array_map(
                    fn(string $language) => ['value' => $language, 'title' => (string) Locale::getDisplayLanguage($language, $language)],
                    Translator::languages(),
                ),
                'schools' => array_map(
                    fn(LimitSchool $school) => [
                        'value' => $school->value,
                        'title' => $translator->say("schools.{$school->value}.name"),
                        'reason' => $translator->say("schools.{$school->value}.reason"),
                    ],
                    LimitSchool::cases(),
                ),
                'ready' => array_map(
                    fn(ReadySchool $school) => ['value' => $school->value, 'title' => $translator->say("schools.ready.{$school->value}")],
                    ReadySchool::cases(),
                ),
                'dripClean' => array_map(
                    fn(DripCleanSchool $school) => [
                        'value' => $school->value,
                        'title' => ucfirst($translator->say("drip.clean.{$school->value}")),
                    ],
                    DripCleanSchool::cases(),
                ),
                'excess' => array_map(
                    fn(ExcessSchool $school) => [
                        'value' => $school->value,
                        'title' => ucfirst($translator->say("drip.excess.{$school->value}")),
                    ],
                    ExcessSchool::cases(),
                ),
                'weather' => array_map(fn(string $kind) => ['value' => $kind, 'title' => $translator->say("ui.weather.kind.{$kind}")], [
                    'off',
                    ...array_column(WeatherKind::cases(), 'value'),
                ]),
                'intervals' => array_map(
                    fn(IntervalSchool $school) => [
                        'value' => (string) round($translator->quantities->units->fromKm($school->km())),
                        'title' => $translator->say("schools.intervals.{$school->value}.name", [
                            'km' => $translator->quantities->distance($school->km()),
                        ]),
                        'reason' => $translator->say("schools.intervals.{$school->value}.reason"),
                    ],
                    IntervalSchool::cases(),
                ),
            ],
            'lan' => Reach::lan(),
        ];
    }

    /** @return list<array{id: int, name: string, interval: string, limit: string}> what each bike goes by */
    public function bikes(Book $book): array
    {
        $translator = $this->translator;

        return array_map(
            fn(int $id) => [
                'id' => $id,
                'name' => $translator->names->bike($id),
                'interval' => $translator->wax->interval($book->terms()->ofBike($id, $translator->nowS)),
                'limit' => $translator->say("schools.{$translator->settings->limitSchool($id, $translator->nowS)->value}.name"),
            ],
            $book->bikeIds,
        );
    }
}
