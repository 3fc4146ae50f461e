<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\MeasuringDays;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Wear\DigitalReading;
use Dripel\Core\Wear\WorkshopWear;

/**
 * A shed in UTC at noon on Wednesday 25 November 2026: chain 1 on bike 1, 2 on its hook.
 *
 * @param list<array{SettingKey, int, mixed}> $settings
 * @param list<string> $dips of chain 2
 * @param array<string, float> $rides km by instant
 * @param array<string, float> $readings of chain 1, % by instant
 */
function shedOfTerms(array $settings = [], array $dips = [], array $rides = [], array $readings = []): Book
{
    $at = fn(string $time): Moment => new Moment((int) strtotime("{$time} UTC"));

    return new Book(
        [1],
        [1, 2],
        new Settings(array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment(0), $one[2]), $settings)),
        [new Fitting(1, $at('2026-01-01 08:00'), 1, 1)],
        array_map(
            fn(string $time, int $n) => new Ride($n, $at($time), 1, $rides[$time], null, Condition::Dry),
            array_keys($rides),
            array_keys(array_keys($rides)),
        ),
        [
            ...array_map(fn(string $time, int $n) => new Dip(100 + $n, $at($time), 2), $dips, array_keys($dips)),
            ...array_map(
                fn(string $time) => new Reading(200, $at($time), 1, new DigitalReading($readings[$time], 0.02)),
                array_keys($readings),
            ),
        ],
    );
}

const NOON_S = 1_795_608_000;

it('plans by the house rules until somebody says otherwise', function (array $settings, array $expected): void {
    expect(PlanTerms::of(shedOfTerms($settings), 3, NOON_S))->toMatchArray($expected);
})->with([
    'nobody said' => [
        [],
        [
            'days' => 29,
            'weekdays' => [6, 7],
            'evening' => true,
            'fixedMinutes' => 45.0,
            'dipMinutes' => 4.0,
            'batchMinutes' => 10.0,
            'swapMinutes' => 3.0,
            'topUpMinutes' => 60.0,
            'marginPct' => 10.0,
            'potCapacity' => 3,
            'pinned' => [],
            'forbidden' => [],
            'notOn' => [],
            'hoursWeekly' => null,
            'stripMinutes' => 35.0,
        ],
    ],
    'all of it said' => [
        [
            [SettingKey::PlanWeeks, 0, 8],
            [SettingKey::PlanWeekdays, 0, [3]],
            [SettingKey::PlanPotTime, 0, 'morning'],
            [SettingKey::PlanFixedMinutes, 0, 30],
            [SettingKey::PlanDipMinutes, 0, 5],
            [SettingKey::PlanBatchMinutes, 0, 0],
            [SettingKey::PlanSwapMinutes, 0, 2],
            [SettingKey::PlanTopUpMinutes, 0, 20],
            [SettingKey::PlanMarginPct, 0, 0],
            [SettingKey::PlanPinned, 0, ['2026-12-01', '2026-12-03']],
            [SettingKey::PlanByHand, 0, ['2026-12-03', '2026-12-10']],
            [SettingKey::PlanForbidden, 0, ['2026-12-17']],
            [SettingKey::ChainNotOn, 2, ['2026-12-03']],
            [SettingKey::PlanHoursWeekly, 0, 1.5],
            [SettingKey::PlanStripMinutes, 0, 25],
        ],
        [
            'days' => 57,
            'weekdays' => [3],
            'evening' => false,
            'fixedMinutes' => 30.0,
            'dipMinutes' => 5.0,
            'batchMinutes' => 0.0,
            'swapMinutes' => 2.0,
            'topUpMinutes' => 20.0,
            'marginPct' => 0.0,
            'pinned' => ['2026-12-01', '2026-12-03', '2026-12-10'],
            'forbidden' => ['2026-12-17'],
            'notOn' => [2 => ['2026-12-03']],
            'hoursWeekly' => 1.5,
            'stripMinutes' => 25.0,
        ],
    ],
]);

it('heats on the weekdays on which it was heated twice in the last half year', function (array $dips, array $weekdays): void {
    expect(PlanTerms::of(shedOfTerms(dips: $dips), null, NOON_S)->weekdays)->toBe($weekdays);
})->with([
    // 18 and 25 November are Wednesdays, the 17th and 24th Tuesdays.
    'two Wednesdays, one Tuesday' => [['2026-11-11 19:00', '2026-11-18 19:00', '2026-11-17 19:00'], [3]],
    'twice on one day is one' => [['2026-11-18 19:00', '2026-11-18 20:00'], [6, 7]],
    'one is of more than half a year ago' => [['2026-05-27 11:00', '2026-11-18 19:00'], [6, 7]],
    'one is of half a year ago' => [['2026-05-27 13:00', '2026-11-18 19:00'], [3]],
    'one is still to come' => [['2026-11-18 19:00', '2026-11-25 19:00'], [6, 7]],
    'in the order of the week' => [['2026-11-20 19:00', '2026-11-13 19:00', '2026-11-16 19:00', '2026-11-09 19:00'], [1, 5]],
]);

it('says on which day of the plan a chain is due to be measured', function (array $km, ?int $day): void {
    $rides = ['2026-06-01 09:00' => 1000.0, '2026-07-01 09:00' => 1000.0];
    $book = shedOfTerms(rides: $rides, readings: ['2026-07-02 09:00' => 0.2]);
    $wear = new WorkshopWear($book, NOON_S);
    $forecast = $wear->of(1);
    $dueKm = $forecast->result->nextMeasurementKm - $forecast->nowKm;
    expect($dueKm)->toBeGreaterThan(0.0);
    $lane = array_map(
        fn(int $n, float $part) => new LaneDay(
            $n,
            1,
            0.0,
            0.0,
            null,
            null,
            0.0,
            null,
            abs($part) * $dueKm,
            0.0,
            null,
            null,
            null,
            [],
            [],
            $part < 0.0,
            0.0,
            0.0,
        ),
        array_keys($km),
        $km,
    );
    expect(MeasuringDays::of([1 => $lane], [1, 2], $book, $wear, NOON_S))->toBe($day === null ? [] : [1 => $day]);
})->with([
    'ridden so far on the third day' => [[0.5, 0.0, 0.6, 0.6], 2],
    'to the metre' => [[0.5, 0.5], 1],
    'not so far' => [[0.5, 0.4], null],
    'a ride that no chain can take is not ridden' => [[0.5, -0.6, 0.4, 0.2], 3],
]);

it('says at once where it is due already', function (): void {
    $rides = ['2026-06-01 09:00' => 1000.0, '2026-07-01 09:00' => 1000.0, '2026-08-01 09:00' => 6000.0];
    $book = shedOfTerms(rides: $rides, readings: ['2026-07-02 09:00' => 0.3]);
    expect(MeasuringDays::of([], [1, 2], $book, new WorkshopWear($book, NOON_S), NOON_S))->toBe([1 => 0]);
});
