<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\RidingHabit;

/** Seen at noon on Wednesday 25 November 2026, in UTC. @param list<array{0: string, 1: float, 2?: float|null, 3?: Condition}> $rides */
function habitOf(array $rides): RidingHabit
{
    $rides = array_map(
        fn(array $ride, int $id) => new Ride(
            $id,
            new Moment((int) strtotime("{$ride[0]} UTC")),
            1,
            $ride[1],
            $ride[2] ?? null,
            $ride[3] ?? Condition::Dry,
        ),
        $rides,
        array_keys($rides),
    );

    return RidingHabit::of(Rides::of($rides), new Settings([]), (int) strtotime('2026-11-25 12:00 UTC'), new DateTimeZone('UTC'));
}

it('knows the pace by the rides that were timed', function (): void {
    $habit = habitOf([['2026-11-20 09:00', 60.0, 2.0, Condition::Wet], ['2026-11-21 09:00', 30.0, 1.0], ['2026-11-22 09:00', 500.0]]);
    expect($habit->hoursPerKm)
        ->toEqualWithDelta(3.0 / 90.0, 1e-9)
        ->and([habitOf([['2026-11-22 09:00', 50.0]])->hoursPerKm, habitOf([])->hoursPerKm])
        ->toBe([null, null]);
});

it('takes the weeks since the first ride where they are fewer than eight, and never less than one', function (
    array $rides,
    float $weeklyKm,
    bool $today,
): void {
    $habit = habitOf($rides);
    expect($habit->weeklyKm)->toEqualWithDelta($weeklyKm, 1e-9)->and($habit->riddenToday)->toBe($today);
})->with([
    // Eight weeks before today’s midnight are Wednesday 30 September, 00:00.
    'since long' => [[['2026-05-01 09:00', 900.0], ['2026-09-30 00:00', 80.0]], 10.0, false],
    'from that midnight on' => [[['2026-09-30 00:00', 80.0]], 10.0, false],
    'two weeks' => [[['2026-11-11 00:00', 80.0]], 40.0, false],
    'since yesterday' => [[['2026-11-24 12:00', 80.0]], 80.0, false],
    'today’s does not count' => [[['2026-11-11 00:00', 80.0], ['2026-11-25 08:00', 70.0]], 40.0, true],
    'nothing' => [[], 0.0, false],
]);

it('holds a weekday for usual from four of eight weeks on, and such days for the week where they make up most of it', function (
    int $weeks,
    float $others,
    array $usual,
): void {
    $rides = [];
    for ($w = 8; $w >= 1; $w--) {
        $w <= $weeks && ($rides[] = [date('Y-m-d', strtotime('2026-11-28') - 7 * 86400 * $w) . ' 09:00', 40.0 + $w]);
    }
    $rides[] = ['2026-11-24 09:00', $others];
    expect(habitOf($rides)->usualKm)->toBe($usual);
})->with([
    // Saturdays of 41, 42, 43 and 44 km: their median. Eight of them are 356 km in 7.5 weeks; 44.5 a week is 70 % of up to 478 km.
    'four' => [4, 0.1, [6 => 42.5]],
    'three' => [3, 0.1, []],
    'and little beside them' => [8, 115.0, [6 => 44.5]],
    'and much beside them' => [8, 130.0, []],
]);
