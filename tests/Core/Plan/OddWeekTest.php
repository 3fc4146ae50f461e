<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\OddWeek;
use Dripel\Core\Plan\PastWeeks;
use Dripel\Core\Plan\RidingHabit;

/**
 * Bike 1 on Tuesdays and Sundays, 40 and 60 km; today is Monday 23 November 2026.
 *
 * @param array<int, float> $otherwise km on the Sunday of a week so many ago, in place of all of it
 * @param list<string> $leftOut
 */
function weeksBook(int $weeks, array $otherwise = [], array $leftOut = []): Book
{
    $rides = [];
    $add = function (int $daysAgo, float $km) use (&$rides): void {
        $rides[] = new Ride(
            count($rides) + 1,
            new Moment((int) strtotime('2026-11-23 09:00 UTC') - 86400 * $daysAgo),
            1,
            $km,
            null,
            Condition::Dry,
        );
    };
    for ($ago = $weeks; $ago > 0; $ago--) {
        if (isset($otherwise[$ago])) {
            $otherwise[$ago] > 0.0 && $add(7 * $ago - 6, $otherwise[$ago]);
            continue;
        }
        $add(7 * $ago - 1, 40.0);
        $add(7 * $ago - 6, 60.0);
    }

    return new Book([1], [], new Settings([new DatedSetting(SettingKey::BikeOddWeeks, 1, new Moment(0), $leftOut)]), [], $rides, []);
}

it('names weeks of a holiday and of a tour, and no other', function (): void {
    $today = LocalDay::named('2026-11-23', new DateTimeZone('UTC'));
    $odd = fn(Book $book): array => array_map(fn(OddWeek $one) => [$one->monday, $one->km, $one->usualKm], OddWeek::of($book, 1, $today));

    expect($odd(weeksBook(12, [3 => 0.0, 5 => 400.0, 10 => 0.0])))
        ->toBe([['2026-11-02', 0.0, 100.0], ['2026-10-19', 400.0, 100.0]])
        // A quarter and two and a half times are within what weeks are.
        ->and($odd(weeksBook(12, [3 => 25.0, 5 => 250.0])))
        ->toBe([])
        ->and($odd(weeksBook(12, [3 => 24.9, 5 => 250.1])))
        ->toHaveCount(2)
        // Too few to know.
        ->and($odd(weeksBook(5, [3 => 0.0])))
        ->toBe([])
        ->and($odd(weeksBook(6, [3 => 0.0])))
        ->toHaveCount(1)
        ->and($odd(weeksBook(0)))
        ->toBe([]);
    $left = weeksBook(12, [3 => 0.0, 5 => 400.0], ['2026-11-02']);
    expect($odd($left))->toBe([['2026-10-19', 400.0, 100.0]]);
    // Weeks before take the place of what was left out.
    expect(array_keys(PastWeeks::byMonday($left, 1, $today)))
        ->toHaveCount(11)
        ->not->toContain('2026-11-02')
        ->and(array_map(array_sum(...), PastWeeks::of(weeksBook(20, [3 => 0.0], ['2026-11-02']), 1, $today)))
        ->toBe(array_fill(0, 13, 100.0));
});

it('makes the habit from the weeks that count', function (): void {
    $habit = fn(Book $book): RidingHabit => RidingHabit::of(
        $book->ridesOf(1),
        $book->settings,
        (int) strtotime('2026-11-23 12:00 UTC'),
        new DateTimeZone('UTC'),
        $book->settings->oddWeeks(1),
    );
    // A holiday of three weeks: rides on three weekdays of eight, and the week no longer seems to be like any other.
    $holiday = [2 => 0.0, 3 => 0.0, 4 => 0.0];
    $mondays = ['2026-11-09', '2026-11-02', '2026-10-26'];
    expect($habit(weeksBook(12, $holiday))->weeklyKm)->toEqualWithDelta(62.5, 1e-9);
    $mended = $habit(weeksBook(12, $holiday, $mondays));
    expect($mended->weeklyKm)
        ->toEqualWithDelta(100.0, 1e-9)
        ->and($mended->usualKm)
        ->toBe([2 => 40.0, 7 => 60.0])
        ->and($mended)
        ->toEqual($habit(weeksBook(12)));
    // A tour that is left out adds nothing to the pace of the week either.
    expect($habit(weeksBook(12, [2 => 900.0], ['2026-11-09']))->weeklyKm)->toEqualWithDelta(100.0, 1e-9);
    // On a young bike: of the days since its first ride, on a morning, seven fewer.
    expect($habit(weeksBook(4, [2 => 0.0], ['2026-11-09']))->weeklyKm)->toEqualWithDelta(300.0 / ((27 - 9 / 24 - 7) / 7), 1e-9);
});
