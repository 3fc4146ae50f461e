<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Bike;
use App\Text\CareWords;
use App\Text\Translator;
use Dripel\Core\Care\CareDue;
use Dripel\Core\Care\Conversion;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\Commute;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\RidingHabit;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Wear\LimitSchool;

/**
 * The form of a bike, new or known.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type PartInDrawer from PartProps
 * @phpstan-import-type PartOnBike from PartProps
 *
 * @phpstan-type CommuteValues array{
 *     weekdays: list<int>,
 *     time: string,
 *     distance: string,
 *     hours: string,
 *     condition: value-of<Condition>,
 *     from: string,
 *     until: string,
 * }
 * @phpstan-type CommuteLine array{
 *     id: int,
 *     text: string,
 *     values: CommuteValues,
 * }
 * @phpstan-type BikePage array{
 *     bike: int|null,
 *     values: array{
 *         name: string,
 *         rider: string,
 *         kind: string,
 *         speeds: int,
 *         brakes: string,
 *         interval: string,
 *         interval_hours: float|null,
 *         limit_school: value-of<LimitSchool>,
 *         by_ear: bool,
 *         drip_only: bool,
 *         week_summer: string,
 *         week_winter: string,
 *         chains_wanted: string,
 *         target_life: string,
 *     },
 *     parts: list<PartOnBike>,
 *     drawer: list<PartInDrawer>,
 *     partKinds: list<array{value: value-of<PartKind>, title: string}>,
 *     converts: bool,
 *     deepFirst: bool,
 *     brushed: string,
 *     commutes: list<CommuteLine>,
 *     ridden: string,
 *     weekdays: list<array{value: int, title: string}>,
 *     forms: FormDefaults,
 *     kinds: list<Choice>,
 *     riders: list<string>,
 *     brakes: list<Choice>,
 *     schools: list<array{value: string, title: string, reason: string}>,
 * }
 */
final readonly class BikeProps
{
    /** @param list<string> $people who is in the workshop */
    public function __construct(private Book $book, private Translator $translator, private array $people) {}

    /** @return BikePage */
    public function of(?int $bikeId): array
    {
        $settings = $this->book->settings;
        $nowS = $this->translator->nowS;
        $units = $this->translator->quantities->units;
        $school = $bikeId === null ? $settings->usualLimitSchool() : $settings->limitSchool($bikeId, $nowS);

        return [
            'bike' => $bikeId,
            'values' => [
                'name' => $this->translator->names->bike($bikeId),
                'rider' => $bikeId === null ? '' : $settings->text(SettingKey::BikeRider, $bikeId),
                'kind' => $bikeId === null ? 'road' : $settings->text(SettingKey::BikeKind, $bikeId, 'road'),
                'speeds' => $bikeId === null ? 12 : $settings->whole(SettingKey::BikeSpeeds, $bikeId, 12),
                'brakes' => $bikeId === null ? Brakes::Disc->value : $settings->text(SettingKey::BikeBrakes, $bikeId, Brakes::Disc->value),
                'interval' =>
                    $bikeId !== null && $settings->byHoursAlone($bikeId, $nowS)
                        ? ''
                        : (string) round(
                            $units->fromKm($bikeId === null ? $settings->usualIntervalKm() : $settings->intervalKm($bikeId, $nowS)),
                            1,
                        ),
                'interval_hours' => $bikeId === null ? null : $settings->intervalHours($bikeId, $nowS),
                'limit_school' => $school->value,
                'by_ear' => $bikeId !== null && $settings->byEar($bikeId, $nowS),
                'drip_only' => $bikeId !== null && $settings->dripOnly($bikeId, $nowS),
                'week_summer' => $this->week(SettingKey::WeekSummer, $bikeId),
                'week_winter' => $this->week(SettingKey::WeekWinter, $bikeId),
                'chains_wanted' => $bikeId === null ? '' : (string) $settings->chainsWanted($bikeId),
                'target_life' =>
                    $bikeId === null || $settings->targetLifeKm($bikeId) === null
                        ? ''
                        : (string) round($units->fromKm($settings->targetLifeKm($bikeId))),
            ],
            'parts' => $bikeId === null ? [] : (new PartProps($this->book, $this->translator))->onBike($bikeId),
            'drawer' => (new PartProps($this->book, $this->translator))->inDrawer(),
            'partKinds' => array_values(
                array_map(
                    fn(PartKind $kind) => ['value' => $kind->value, 'title' => $this->translator->say("ui.parts.{$kind->value}")],
                    array_filter(PartKind::cases(), fn(PartKind $kind) => $kind->slot() !== null),
                ),
            ),
            'converts' => $bikeId !== null && Conversion::of($this->book, $bikeId, $nowS) !== null,
            'deepFirst' => $bikeId !== null && CareDue::of($this->book, $bikeId, $nowS)->beforeFirstWax,
            'brushed' => $bikeId === null ? '' : (new CareWords($this->translator))->brushed($this->book, $bikeId),
            'commutes' => $bikeId === null ? [] : array_map($this->commute(...), $this->book->fillIn?->commutesOf($bikeId) ?? []),
            'ridden' => $bikeId === null ? '' : $this->ridden($bikeId),
            'weekdays' => $this->translator->weekdays(),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
            'riders' => array_values(array_unique([...Riders::of($this->book)->names(), ...$this->people])),
            'kinds' => array_map(
                fn(string $kind) => ['value' => $kind, 'title' => ucfirst($this->translator->say("ui.kinds.{$kind}"))],
                Bike::KINDS,
            ),
            'brakes' => array_map(
                fn(Brakes $brakes) => ['value' => $brakes->value, 'title' => $this->translator->say("ui.bike.brake.{$brakes->value}")],
                Brakes::cases(),
            ),
            'schools' => array_map(
                fn(LimitSchool $case) => [
                    'value' => $case->value,
                    'title' => $this->translator->say("schools.{$case->value}.name"),
                    'reason' => $this->translator->say("schools.{$case->value}.reason"),
                ],
                LimitSchool::cases(),
            ),
        ];
    }

    /** Its usual week of late, seven distances in the units of the workshop; empty where no days are usual. */
    private function ridden(int $bikeId): string
    {
        $habit = RidingHabit::ofBike($this->book, $bikeId, $this->translator->nowS, $this->translator->zone());
        $units = $this->translator->quantities->units;

        return $habit->usualRiddenKm === []
            ? ''
            : implode(' ', array_map(fn(int $day) => (string) round($units->fromKm($habit->riddenOn($day)), 1), range(1, 7)));
    }

    /** @return CommuteLine */
    private function commute(Commute $commute): array
    {
        $q = $this->translator->quantities;
        $minutes = (int) round(60 * ($commute->hours ?? 0.0));

        return [
            'id' => $commute->id,
            'text' => $this->translator->say('ui.commute.line', [
                'km' => $q->distance($commute->km, 1),
                'days' => implode(', ', array_map(fn(int $day) => $this->translator->weekday($day), $commute->weekdays)),
                'time' => $commute->time,
            ]),
            'values' => [
                'weekdays' => $commute->weekdays,
                'time' => $commute->time,
                'distance' => (string) round($q->units->fromKm($commute->km), 2),
                'hours' => $commute->hours === null ? '' : sprintf('%d:%02d', intdiv($minutes, 60), $minutes % 60),
                'condition' => $commute->condition->value,
                'from' => $commute->fromDate,
                'until' => $commute->untilDate ?? '',
            ],
        ];
    }

    /** What it is ridden by weekday, as a form writes it. */
    private function week(SettingKey $key, ?int $bikeId): string
    {
        $days = $bikeId === null ? [] : $this->book->settings->numbers($key, $bikeId);

        return implode(' ', array_map(fn(float $km) => (string) round($this->translator->quantities->units->fromKm($km), 1), $days));
    }
}
