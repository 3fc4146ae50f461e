<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Brushing;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\ConflictKind;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Wear\DropInReading;
use Dripel\Core\Wear\Seat;
use Dripel\Core\Wear\SeatAtMark;

// A world of hours: bikes 1 and 2, chains 1 to 3, all hanging with bike 1; instants are whole hours.
const HOUR = 3600;
function at(float $hour, Precision $precision = Precision::Minute): Moment
{
    return new Moment((int) (HOUR * $hour), $precision);
}
function ride(int $id, float $hour, float $km, Condition $condition = Condition::Dry, int $bike = 1, ?float $hours = 1.0): Ride
{
    return new Ride($id, at($hour), $bike, $km, $hours, $condition);
}
/** @param list<mixed> $settings key, subject, from hour, value */
function book(array $fittings, array $rides, array $events, array $settings = []): Book
{
    $home = array_map(fn(int $chain) => new DatedSetting(SettingKey::ChainHome, $chain, at(0), 1), [1, 2, 3]);

    return new Book(
        [1, 2],
        [1, 2, 3],
        new Settings([...$home, ...array_map(fn(array $s) => new DatedSetting($s[0], $s[1], at($s[2]), $s[3]), $settings)]),
        $fittings,
        $rides,
        $events,
    );
}

it('gives a ride to the chain that was on at its start, and the fitting comes first', function (): void {
    $book = book(
        [new Fitting(1, at(1), 1, 1), new Fitting(2, at(10), 1, 2), new Fitting(3, at(20), 1, null)],
        [ride(1, 0.5, 5), ride(2, 9.9, 10), ride(3, 10, 20), ride(4, 20, 40)],
        [],
    );
    expect(array_map($book->chainOfRide(...), $book->rides()->all()))
        ->toBe([null, 1, 2, null])
        ->and(array_map(fn(Ride $r) => $r->id, $book->ridesWithoutChain()->all()))
        ->toBe([1, 4])
        ->and($book->chain(1, 30 * HOUR)->km->km)
        ->toBe(10.0)
        ->and($book->chain(2, 30 * HOUR)->km->km)
        ->toBe(20.0);
});

it('puts a ride known only by its day after that day\'s changes', function (): void {
    $ofTheDay = new Ride(1, at(23.9997, Precision::Day), 1, 30, null, Condition::Dry);
    $book = book([new Fitting(1, at(1), 1, 1), new Fitting(2, at(18), 1, 2)], [$ofTheDay], [new Dip(1, at(20), 2)]);
    expect($book->chainOfRide($ofTheDay))
        ->toBe(2)
        ->and($book->chain(2, 21 * HOUR)->leftKm())
        ->toBe(270.0)
        ->and($book->chain(2, 21 * HOUR)->hoursComplete)
        ->toBeFalse();
});

it('shifts its neighbours when a fitting is entered late or taken back', function (): void {
    $fittings = [new Fitting(1, at(1), 1, 1), new Fitting(2, at(30), 1, 3)];
    $rides = [ride(1, 5, 10), ride(2, 15, 20), ride(3, 35, 40)];
    expect(array_map(book($fittings, $rides, [])->chainOfRide(...), $rides))
        ->toBe([1, 1, 3])
        ->and(array_map(book([new Fitting(3, at(10), 1, 2), ...$fittings], $rides, [])->chainOfRide(...), $rides))
        ->toBe([1, 2, 3]);
});

it('never lets two spans of one bike overlap, and names a chain that would be on two bikes', function (): void {
    $book = book([new Fitting(1, at(1), 1, 1), new Fitting(2, at(5), 2, 1), new Fitting(3, at(9), 1, 2)], [], []);
    expect($book->conflicts())
        ->toHaveCount(1)
        ->and($book->conflicts()[0]->kind)
        ->toBe(ConflictKind::OnAnotherBike)
        ->and($book->conflicts()[0]->entry->id)
        ->toBe(2)
        ->and($book->conflicts()[0]->against->id)
        ->toBe(1)
        ->and(book([new Fitting(1, at(1), 1, 1), new Fitting(3, at(4), 1, 2), new Fitting(2, at(5), 2, 1)], [], [])->conflicts())
        ->toBe([])
        ->and($book->fittings()->spansOf(2)[0]->fromS)
        ->toBe(9 * HOUR);
});

it('refuses what happens to a chain after its retirement', function (): void {
    $conflicts = book(
        [new Fitting(1, at(1), 1, 1), new Fitting(2, at(9), 1, null)],
        [],
        [new Retirement(1, at(9), 1), new Dip(2, at(10), 1), new Noise(3, at(5), 1), new Noise(4, at(12), 1)],
    )->conflicts();
    expect($conflicts)
        ->toHaveCount(1)
        ->and($conflicts[0]->kind)
        ->toBe(ConflictKind::AfterRetirement)
        ->and($conflicts[0]->entry->id)
        ->toBe(2);
});

it('derives the state of a chain', function (array $rides, array $events, array $settings, ChainStatus $status, float $leftKm): void {
    $state = book([new Fitting(1, at(1), 1, 1)], $rides, $events, $settings)->chain(1, 100 * HOUR);
    expect($state->status)->toBe($status)->and($state->leftKm())->toEqualWithDelta($leftKm, 1e-9);
})->with([
    'in its box' => [[], [], [], ChainStatus::Unwaxed, 0.0],
    'ridden without wax' => [[ride(1, 5, 10)], [], [], ChainStatus::Unwaxed, 0.0],
    'bare' => [[], [new Strip(1, at(2), 1)], [], ChainStatus::Bare, 0.0],
    'stripped and dipped in one instant' => [[], [new Dip(2, at(2), 1), new Strip(1, at(2), 1)], [], ChainStatus::Waxed, 300.0],
    'stripped again' => [[], [new Dip(2, at(2), 1), new Strip(1, at(3), 1)], [], ChainStatus::Bare, 0.0],
    'ridden' => [[ride(1, 1.5, 99), ride(2, 5, 60)], [new Dip(1, at(2), 1)], [], ChainStatus::Ridden, 240.0],
    'a ride at the instant of the dip comes after it' => [[ride(1, 2, 60)], [new Dip(1, at(2), 1)], [], ChainStatus::Ridden, 240.0],
    'spent' => [[ride(1, 5, 300)], [new Dip(1, at(2), 1)], [], ChainStatus::Spent, 0.0],
    'topped up' => [[ride(1, 5, 300), ride(2, 7, 50)], [new Dip(1, at(2), 1), new TopUp(2, at(6), 1, 200)], [], ChainStatus::Ridden, 150.0],
    'wet' => [[ride(1, 5, 20, Condition::Wet)], [new Dip(1, at(2), 1)], [], ChainStatus::Wet, 250.0],
    'wet, then topped up' => [
        [ride(1, 5, 20, Condition::Wet)],
        [new Dip(1, at(2), 1), new TopUp(2, at(6), 1, 200)],
        [],
        ChainStatus::Ridden,
        300.0,
    ],
    'loud' => [[ride(1, 5, 20)], [new Dip(1, at(2), 1), new Noise(2, at(6), 1)], [], ChainStatus::Loud, 0.0],
    'loud before the dip' => [[ride(1, 5, 20)], [new Noise(2, at(1.5), 1), new Dip(1, at(2), 1)], [], ChainStatus::Ridden, 280.0],
    'loud, then topped up' => [
        [ride(1, 5, 20)],
        [new Dip(1, at(2), 1), new Noise(2, at(6), 1), new TopUp(3, at(7), 1, 200)],
        [],
        ChainStatus::Ridden,
        300.0,
    ],
    'a noise on another bike' => [[], [new Dip(1, at(2), 1), new Noise(2, at(6), 2)], [], ChainStatus::Waxed, 300.0],
    'its hours are up' => [
        [ride(1, 5, 20, hours: 4), ride(2, 8, 20, hours: 6)],
        [new Dip(1, at(2), 1)],
        [[SettingKey::IntervalHours, 1, 0, 10]],
        ChainStatus::Overtime,
        260.0,
    ],
    'a shorter interval from a date' => [
        [ride(1, 5, 20)],
        [new Dip(1, at(2), 1)],
        [[SettingKey::IntervalKm, 1, 0, 300], [SettingKey::IntervalKm, 1, 50, 200]],
        ChainStatus::Ridden,
        180.0,
    ],
    'a factor holds for the rides from its date on' => [
        [ride(1, 5, 20), ride(2, 60, 20)],
        [new Dip(1, at(2), 1)],
        [[SettingKey::FactorDry, 0, 50, 2]],
        ChainStatus::Ridden,
        240.0,
    ],
    'not yet: what lies ahead does not count' => [
        [ride(1, 101, 20)],
        [new Dip(1, at(2), 1), new Noise(2, at(102), 1)],
        [],
        ChainStatus::Waxed,
        300.0,
    ],
]);

it('says how worn, since which distance, and whether past the limit', function (): void {
    $events = [
        new Reading(1, at(6), 1, new DropInReading([new SeatAtMark(0.5, Seat::Part)])),
        new Reading(2, at(9), 1, new DropInReading([new SeatAtMark(0.5, Seat::Enters)])),
    ];
    $book = book([new Fitting(1, at(1), 1, 1)], [ride(1, 5, 20), ride(2, 7, 30), ride(3, 20, 40)], $events, [
        [SettingKey::BikeSpeeds, 1, 0, 9],
        [SettingKey::LimitSchool, 1, 0, 'strict'],
        [SettingKey::LimitSchool, 1, 50, 'by_speeds'],
    ]);
    expect($book->chain(1, 8 * HOUR)->wear->pastLimit)
        ->toBeFalse()
        ->and($book->chain(1, 8 * HOUR)->wear->atKm?->km)
        ->toBe(20.0)
        ->and($book->chain(1, 30 * HOUR)->wear->pastLimit)
        ->toBeTrue()
        ->and($book->chain(1, 30 * HOUR)->wear->atKm?->km)
        ->toBe(50.0)
        ->and($book->chain(1, 30 * HOUR)->km->km)
        ->toBe(90.0)
        ->and($book->chain(1, 60 * HOUR)->wear->pastLimit)
        ->toBeFalse('the school of that day counts');
});

it('has half of its interval where it was waxed only partly', function (): void {
    $left = fn(bool $partly): float => book([], [], [new Dip(1, at(2), 1, partly: $partly)])
        ->chain(1, 3 * HOUR)
        ->leftKm();
    expect([$left(false), $left(true)])->toBe([300.0, 150.0]);
});

it('has no more wax after a top-up than after a dip', function (): void {
    $left = fn(float $km): float => book([new Fitting(1, at(1), 1, 1)], [ride(1, 3, $km)], [new Dip(1, at(2), 1)])
        ->chain(1, 5 * HOUR)
        ->leftAfterTopUp(60.0);
    expect([$left(200.0), $left(60.0), $left(20.0)])->toBe([160.0, 300.0, 300.0]);
});

it('is ready when the wax has set and the drip has dried', function (): void {
    $book = book([], [], [new Dip(1, at(2), 1), new TopUp(2, at(20), 1, 200)]);
    expect($book->chain(1, (int) (2.1 * HOUR))->readyAtS)
        ->toBe((int) (2.25 * HOUR))
        ->and($book->chain(1, 3 * HOUR)->readyAtS)
        ->toBeNull()
        ->and($book->chain(1, 21 * HOUR)->readyAtS)
        ->toBe(30 * HOUR);
});

it('counts what a bike was ridden since its drivetrain was brushed, and leaves its chains as they were', function (): void {
    $events = [new Dip(1, at(1), 1), new Brushing(2, at(5), 1), new Brushing(3, at(20), 1), new Brushing(4, at(6), 2)];
    $book = book([new Fitting(1, at(2), 1, 1)], [ride(1, 3, 40), ride(2, 5, 30), ride(3, 8, 25), ride(4, 22, 10)], $events);
    // At one instant the ride comes first, and the brush after it.
    expect($book->brushed(1, 3600 * 10)?->km)
        ->toBe(25.0)
        ->and($book->brushed(1, 3600 * 10)?->last->id)
        ->toBe(2)
        ->and($book->brushed(1, 3600 * 30)?->km)
        ->toBe(10.0)
        ->and($book->brushed(2, 3600 * 30)?->km)
        ->toEqual(0)
        ->and($book->brushed(1, 3600 * 4))
        ->toBeNull()
        ->and($book->history(1)->events)
        ->toHaveCount(1)
        ->and($book->conflicts())
        ->toBe([]);
});
