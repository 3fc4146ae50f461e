<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Archive\Backups;
use App\Archive\VerifyFigures;
use App\Archive\WorkshopFile;
use App\Logbook\ReadBook;
use App\Models\Device;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Passkey;
use App\Models\Role;
use App\Models\SignIn;
use App\Models\User;
use App\Models\Workshop;
use App\People\Passkeys;
use App\Support\Reach;
use App\Text\Translator;
use App\Text\Translators;
use App\Text\Units;
use App\Weather\KeptRain;
use App\Weather\WeatherKind;
use DateTimeZone;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Wear\LimitSchool;
use Locale;

/**
 * What the workshop, the person and this device can set.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type DeviceView from DeviceProps
 *
 * @phpstan-type PersonView array{
 *     id: int,
 *     me: bool,
 *     owner: bool,
 *     roleValue: 'owner'|'member'|'viewer',
 *     name: string,
 *     email: string,
 *     role: string,
 * }
 * @phpstan-type PasskeysView array{fits: bool, list: list<array{id: int, phone: bool, text: string}>}
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
 *     rain: string,
 *     people: list<PersonView>,
 *     workshops: list<array{id: int, name: string, role: string, here: bool}>,
 *     opensWorkshops: bool,
 *     bikes: list<array{id: int, name: string, interval: string, limit: string}>,
 *     devices: list<array{id: int, phone: bool, here: bool, address: string, seen: string}>,
 *     passkeys: PasskeysView|null,
 *     backup: array{text: string, old: bool}|null,
 *     verified: string,
 *     displays: list<DeviceView>,
 *     tables: list<string>,
 *     lan: string|null,
 *     invitations: list<array{id: int, role: string, until: string}>,
 * }
 */
final readonly class SettingsProps
{
    /** A backup of each night is late after so many seconds: a machine may be off for a night. */
    private const BACKUP_OLD_S = 172_800;

    public function __construct(
        private Translators $translators,
        private ReadBook $readBook,
        private Backups $backups,
        private VerifyFigures $verifyFigures,
        private KeptRain $keptRain,
    ) {}

    /** What is known from tables; empty: nothing. */
    private function rain(Workshop $workshop, Translator $translator): string
    {
        $known = $this->keptRain->known($workshop);

        return $known === null
            ? ''
            : $translator->say('ui.weather.known', [
                'hours' => $translator->quantities->number($known[0]),
                'from' => $translator->quantities->day($known[1]),
                'until' => $translator->quantities->day($known[2]),
            ]);
    }

    /** @return list<array{id: int, name: string, role: string, here: bool}> those that a person is in */
    private function workshops(User $user, Workshop $workshop, Translator $translator): array
    {
        return array_values(
            $user
                ->memberships()
                ->with('workshop')
                ->orderBy('id')
                ->get()
                ->map(
                    fn(Membership $one) => [
                        'id' => $one->workshop_id,
                        'name' => $this->readBook->settings($one->workshop)->text(SettingKey::WorkshopName, 0),
                        'role' => $translator->say("ui.roles.{$one->role->value}"),
                        'here' => $one->workshop_id === $workshop->id,
                    ],
                )
                ->all(),
        );
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
    public function all(Workshop $workshop, User $user, Role $role, ?SignIn $here): array
    {
        $book = ($this->readBook)($workshop);
        $translator = $this->translators->current();
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
            'rain' => $this->rain($workshop, $translator),
            'people' => array_values(
                $workshop
                    ->memberships()
                    ->with('user')
                    ->get()
                    ->map(
                        fn(Membership $membership) => [
                            'id' => $membership->id,
                            'me' => $membership->user_id === $user->id,
                            'owner' => $membership->role === Role::Owner,
                            'roleValue' => $membership->role->value,
                            'name' => $membership->user->name,
                            'email' => $membership->user->email,
                            'role' => $translator->say("ui.roles.{$membership->role->value}"),
                        ],
                    )
                    ->all(),
            ),
            'workshops' => $this->workshops($user, $workshop, $translator),
            'opensWorkshops' => $user->opens_workshops,
            'bikes' => array_map(
                fn(int $id) => [
                    'id' => $id,
                    'name' => $translator->names->bike($id),
                    'interval' => $translator->wax->interval($book->terms()->ofBike($id, $translator->nowS)),
                    'limit' => $translator->say("schools.{$translator->settings->limitSchool($id, $translator->nowS)->value}.name"),
                ],
                $book->bikeIds,
            ),
            'devices' => $this->devices($user, $here),
            'passkeys' => $this->passkeys($user),
            'backup' => $this->backup($workshop),
            'verified' => $this->verified($workshop),
            'displays' => (new DeviceProps($this->translators->current()))->all($workshop, Device::DISPLAY),
            'tables' => WorkshopFile::asCsv(),
            'lan' => Reach::lan(),
            'invitations' =>
                $role !== Role::Owner
                    ? []
                    : array_values(
                        Invitation::query()
                            ->in($workshop)
                            ->whereNull('accepted_by')
                            ->where('expires_at', '>', $translator->nowS)
                            ->get()
                            ->map(
                                fn(Invitation $invitation) => [
                                    'id' => $invitation->id,
                                    'role' => $translator->say("ui.roles.{$invitation->role->value}"),
                                    'until' => $translator->quantities->day($invitation->expires_at),
                                ],
                            )
                            ->all(),
                    ),
        ];
    }

    /** @return PasskeysView|null null: the demo, which has no door */
    private function passkeys(User $user): ?array
    {
        $translator = $this->translators->current();
        $date = fn(int $atS): string => $translator->quantities->date($atS, 'd MMM y');

        return config()->boolean('dripel.demo')
            ? null
            : [
                'fits' => Passkeys::fits(request()),
                'list' => array_values(
                    Passkey::query()
                        ->where('user_id', $user->id)
                        ->orderBy('id')
                        ->get()
                        ->map(
                            fn(Passkey $passkey) => [
                                'id' => $passkey->id,
                                'phone' => $passkey->phone,
                                'text' => $translator->say('ui.passkeys.' . ($passkey->used_at === null ? 'added' : 'used'), [
                                    'host' => $passkey->host,
                                    'added' => $date($passkey->added_at),
                                    'used' => $date($passkey->used_at ?? 0),
                                ]),
                            ],
                        )
                        ->all(),
                ),
            ];
    }

    /** @return array{text: string, old: bool}|null how old the newest backup of the installation is; null: the demo, which needs none */
    private function backup(Workshop $workshop): ?array
    {
        $translator = $this->translators->current();
        $newest = $this->backups->newest();
        if (config()->boolean('dripel.demo')) {
            return null;
        }
        $q = $translator->quantities;
        // Of a workshop that was opened today there need not be one yet.
        $sinceS = $newest->madeS ?? (int) $workshop->created_at?->getTimestamp();
        $old = $sinceS < $translator->nowS - self::BACKUP_OLD_S;

        return [
            'old' => $old,
            'text' =>
                $newest === null
                    ? $translator->say('ui.keep.backup_none')
                    : $translator->say($old ? 'ui.keep.backup_old' : 'ui.keep.backup', [
                        'when' => $q->dayAndTime($newest->madeS),
                        'size' => $q->number($newest->bytes / 1e6, 1) . "\u{a0}MB",
                    ]),
        ];
    }

    /** When the figures were last held against the entries; empty: they were not, nothing is kept packed. */
    private function verified(Workshop $workshop): string
    {
        $last = $this->verifyFigures->last($workshop);
        $translator = $this->translators->current();

        return $last === null
            ? ''
            : $translator->say($last[1] ? 'ui.keep.verified' : 'ui.keep.verified_not', [
                'when' => $translator->quantities->dayAndTime($last[0]),
            ]);
    }

    /** @return list<array{id: int, phone: bool, here: bool, address: string, seen: string}> where somebody is signed in, the last seen first */
    private function devices(User $user, ?SignIn $here): array
    {
        $q = $this->translators->current()->quantities;

        return array_values(
            SignIn::query()
                ->where('user_id', $user->id)
                ->where('expires_at', '>', $this->translators->current()->nowS)
                ->orderByDesc('seen_at')
                ->orderByDesc('id')
                ->limit(20)
                ->get()
                ->map(
                    fn(SignIn $signIn) => [
                        'id' => $signIn->id,
                        'phone' => $signIn->phone,
                        'here' => $signIn->is($here),
                        'address' => $signIn->address,
                        'seen' => $q->dayAndTime($signIn->seen_at),
                    ],
                )
                ->all(),
        );
    }
}
