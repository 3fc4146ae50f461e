<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Commute;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\FillIn;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\RestDay;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;

// Monday 23 to Saturday 28 November 2026, in Berlin; "now" is noon of that Saturday.
const BERLIN = 'Europe/Berlin';

function berlin(string $local): int
{
    return (new DateTimeImmutable($local, new DateTimeZone(BERLIN)))->getTimestamp();
}

function estimate(
    float $km,
    int $sequence = 10,
    string $from = '2026-11-23',
    string $to = '2026-11-28',
    string $end = '2026-11-28 12:00',
): Estimate {
    return new Estimate(
        $sequence,
        new Moment(berlin($end), sequence: $sequence),
        7,
        berlin("{$from} 00:00"),
        $from,
        $to,
        $km,
        Condition::Damp,
    );
}

function logged(string $local, float $km, int $sequence, Precision $precision = Precision::Minute): Ride
{
    return new Ride($sequence, new Moment(berlin($local), $precision, $sequence), 7, $km, null, Condition::Dry);
}

/**
 * @param list<Ride> $rides
 *
 * @return array<int|string, float> km filled in, by day of the month
 */
function filledIn(FillIn $fillIn, array $rides = []): array
{
    $days = [];
    foreach ($fillIn->rides($rides) as $ride) {
        $days[substr((string) $ride->guess?->date, 8)] = round($ride->km, 6);
    }

    return $days;
}

it('spreads an estimate over its days', function (array $estimates, array $rides, array $rests, array $expected): void {
    $fillIn = new FillIn($estimates, [], $rests, new DateTimeZone(BERLIN), berlin('2026-11-28 12:00'));
    expect(filledIn($fillIn, $rides))->toBe($expected);
})->with([
    'evenly' => [[estimate(240)], [], [], ['23' => 40.0, '24' => 40.0, '25' => 40.0, '26' => 40.0, '27' => 40.0, '28' => 40.0]],
    'a ride logged later replaces the share of its day' => [
        [estimate(240)],
        [logged('2026-11-25 18:00', 62, 20)],
        [],
        ['23' => 40.0, '24' => 40.0, '26' => 40.0, '27' => 40.0, '28' => 40.0],
    ],
    'a ride logged before is part of the total' => [
        [estimate(240)],
        [logged('2026-11-25 18:00', 90, 5)],
        [],
        ['23' => 30.0, '24' => 30.0, '26' => 30.0, '27' => 30.0, '28' => 30.0],
    ],
    'one that began after it was made replaces nothing' => [
        [estimate(60, to: '2026-11-28', from: '2026-11-27')],
        [logged('2026-11-28 15:00', 20, 20)],
        [],
        ['27' => 30.0, '28' => 30.0],
    ],
    'one of that day alone does' => [
        [estimate(60, from: '2026-11-27')],
        [logged('2026-11-28 23:59', 20, 20, Precision::Day)],
        [],
        ['27' => 30.0],
    ],
    'between two readings of the odometer: a ride before the first is no part of it' => [
        [
            new Estimate(
                10,
                new Moment(berlin('2026-11-24 20:00'), sequence: 10),
                7,
                berlin('2026-11-23 12:00'),
                '2026-11-23',
                '2026-11-24',
                50,
                Condition::Dry,
                5050,
            ),
        ],
        [logged('2026-11-23 08:00', 30, 5)],
        [],
        ['23' => 25.0, '24' => 25.0],
    ],
    'more logged than estimated leaves nothing' => [[estimate(240)], [logged('2026-11-25 18:00', 300, 5)], [], []],
    'as much logged as estimated leaves nothing' => [[estimate(240)], [logged('2026-11-25 18:00', 240, 5)], [], []],
    'one logged in the same breath replaces its day' => [
        [estimate(240)],
        [logged('2026-11-25 18:00', 90, 10)],
        [],
        ['23' => 40.0, '24' => 40.0, '26' => 40.0, '27' => 40.0, '28' => 40.0],
    ],
    'a day of rest that was there before' => [
        [estimate(80, from: '2026-11-27')],
        [],
        [new RestDay(1, new Moment(0, sequence: 3), 7, '2026-11-27')],
        ['28' => 80.0],
    ],
    'a day of rest' => [
        [estimate(80, from: '2026-11-27')],
        [],
        [new RestDay(1, new Moment(0, sequence: 30), 7, '2026-11-27')],
        ['28' => 40.0],
    ],
    'a second estimate counts the first' => [
        [estimate(120, 10, '2026-11-23', '2026-11-25', '2026-11-25 23:59'), estimate(240, 20)],
        [],
        [],
        ['23' => 40.0, '24' => 40.0, '25' => 40.0, '26' => 40.0, '27' => 40.0, '28' => 40.0],
    ],
]);

it('says how an estimate would be spread before it is made', function (): void {
    $share = (new FillIn([], [], [], new DateTimeZone(BERLIN), 0))->shareOf(estimate(240, 99), [logged('2026-11-25 18:00', 90, 5)]);
    expect([$share->knownKm, count($share->dates), $share->kmEach])->toBe([90.0, 5, 30.0]);
    $less = (new FillIn([], [], [], new DateTimeZone(BERLIN), 0))->shareOf(estimate(60, 99), [logged('2026-11-25 18:00', 90, 5)]);
    expect([$less->knownKm, $less->kmEach])->toBe([90.0, 0.0]);
    $full = (new FillIn([], [], [], new DateTimeZone(BERLIN), 0))->shareOf(estimate(60, 99, to: '2026-11-23'), [
        logged('2026-11-23 18:00', 20, 5),
    ]);
    expect([$full->knownKm, $full->dates, $full->kmEach])->toBe([20.0, [], 0.0]);
});

it('fills the weekly commute in until it is over, and gives way to what is known', function (): void {
    $commute = new Commute(3, new Moment(0, sequence: 1), 7, [1, 3, 5, 6], '07:40', 24.0, 1.0, Condition::Dry, '2026-11-23', null);
    $filled = fn(string $now, array $rides = [], array $rests = [], array $estimates = []) => filledIn(
        new FillIn($estimates, [$commute], $rests, new DateTimeZone(BERLIN), berlin($now)),
        $rides,
    );
    expect($filled('2026-11-28 07:39'))
        ->toBe(['23' => 24.0, '25' => 24.0, '27' => 24.0])
        ->and($filled('2026-11-28 07:40'))
        ->toHaveKey('28')
        ->and($filled('2026-11-28 12:00', [logged('2026-11-25 18:00', 62, 20)]))
        ->not->toHaveKey('25')
        ->and($filled('2026-11-28 12:00', [], [new RestDay(1, new Moment(0, sequence: 9), 7, '2026-11-23')]))
        ->not->toHaveKey('23')
        ->and($filled('2026-11-28 12:00', [], [], [estimate(30, 10, '2026-11-27', '2026-11-27', '2026-11-27 23:59')]))
        ->toBe(['27' => 30.0, '23' => 24.0, '25' => 24.0, '28' => 24.0]);
});

it('splits an estimate at a swap, and marks what was not logged', function (): void {
    $fittings = [new Fitting(1, new Moment(0), 7, 1), new Fitting(2, new Moment(berlin('2026-11-25 20:00')), 7, 2)];
    $fillIn = new FillIn([estimate(240)], [], [], new DateTimeZone(BERLIN), berlin('2026-11-28 12:00'));
    $book = new Book([7], [1, 2], new Settings([]), $fittings, [logged('2026-11-24 18:00', 62, 20)], [], $fillIn);
    $now = berlin('2026-11-28 12:00');
    // Monday and the ride of Tuesday went to chain 1; a day is counted after its changes, so Wednesday went to 2.
    expect($book->chain(1, $now)->km->km)
        ->toEqualWithDelta(102.0, 1e-9)
        ->and($book->chain(2, $now)->km->km)
        ->toEqualWithDelta(160.0, 1e-9)
        ->and(array_filter($book->rides()->all(), fn(Ride $ride) => $ride->guess !== null))
        ->toHaveCount(5)
        ->and($book->withRide(logged('2026-11-26 18:00', 10, 30))->chain(2, $now)->km->km)
        ->toEqualWithDelta(130.0, 1e-9);
});

/** Another bike's, at its edge, or earlier and later than the one beside it. */
it('keeps to its period, its bike and its place among several', function (): void {
    $zone = new DateTimeZone(BERLIN);
    $other = fn(float $km, int $sequence) => new Estimate(
        $sequence,
        new Moment(berlin('2026-11-24 20:00'), sequence: $sequence),
        8,
        berlin('2026-11-23 00:00'),
        '2026-11-23',
        '2026-11-24',
        $km,
        Condition::Dry,
    );
    $rideOf8 = new Ride(50, new Moment(berlin('2026-11-23 09:00'), sequence: 1), 8, 10.0, null, Condition::Dry);
    $byBike = fn(FillIn $fillIn, array $rides = []): array => array_map(
        fn(Ride $ride) => [$ride->bikeId, (string) $ride->guess?->date, round($ride->km, 6)],
        $fillIn->rides($rides),
    );
    // Two bikes over the same days: each gives way to its own rides and rests only.
    $both = new FillIn(
        [estimate(20, 10, '2026-11-23', '2026-11-24', '2026-11-24 20:00'), $other(30.0, 11)],
        [],
        [new RestDay(1, new Moment(0, sequence: 1), 7, '2026-11-24')],
        $zone,
        berlin('2026-11-28 12:00'),
    );
    expect($byBike($both, [$rideOf8]))->toBe([[7, '2026-11-23', 20.0], [8, '2026-11-24', 20.0]]);
    // Before it is made, an estimate knows those of its own bike that were made before it, and no later one.
    $share = fn(array $estimates, int $sequence) => (new FillIn($estimates, [], [], $zone, 0))->shareOf(estimate(240, $sequence), []);
    $first = estimate(120, 10, '2026-11-23', '2026-11-25', '2026-11-25 23:59');
    expect([$share([$first, $other(30.0, 9)], 20)->knownKm, $share([$first, $other(30.0, 9)], 20)->kmEach])
        ->toBe([120.0, 40.0])
        ->and([$share([$first], 5)->knownKm, $share([$first], 5)->kmEach])
        ->toBe([0.0, 40.0]);
    // Recorded the other way round, the wider one comes first and leaves nothing to the narrower.
    expect(
        filledIn(
            new FillIn(
                [estimate(120, 20, '2026-11-23', '2026-11-25', '2026-11-25 23:59'), estimate(240, 10)],
                [],
                [],
                $zone,
                berlin('2026-11-28 12:00'),
            ),
        ),
    )->toBe(['23' => 40.0, '24' => 40.0, '25' => 40.0, '26' => 40.0, '27' => 40.0, '28' => 40.0]);
});

it('holds a ride at the very edges of an estimate as its own, and one a second beyond as none of it', function (
    string $at,
    bool $within,
): void {
    $edge = new Estimate(
        10,
        new Moment(berlin('2026-11-24 20:00:00'), sequence: 10),
        7,
        berlin('2026-11-23 12:00:00'),
        '2026-11-23',
        '2026-11-24',
        50.0,
        Condition::Dry,
        5050.0,
    );
    $filled = filledIn(new FillIn([$edge], [], [], new DateTimeZone(BERLIN), berlin('2026-11-28 12:00')), [logged($at, 20.0, 5)]);
    expect(array_sum($filled))->toBe($within ? 30.0 : 50.0);
})->with([
    'as it begins' => ['2026-11-23 12:00:00', true],
    'a second before' => ['2026-11-23 11:59:59', false],
    'as it ends' => ['2026-11-24 20:00:00', true],
    'a second after' => ['2026-11-24 20:00:01', false],
]);

it('rides the commute on its first and last day, and never after it', function (): void {
    $commute = fn(string $from, ?string $until, int $bike = 7) => new Commute(
        3,
        new Moment(0, sequence: 1),
        $bike,
        [1, 2, 3, 4, 5, 6, 7],
        '07:40',
        24.0,
        null,
        Condition::Dry,
        $from,
        $until,
    );
    $days = fn(array $commutes, array $rides = []) => array_keys(
        filledIn(new FillIn([], $commutes, [], new DateTimeZone(BERLIN), berlin('2026-11-28 12:00')), $rides),
    );
    expect($days([$commute('2026-11-25', '2026-11-26')]))
        ->toBe([25, 26])
        ->and($days([$commute('2026-11-27', null)]))
        ->toBe([27, 28])
        ->and($days([$commute('2026-11-29', null)]))
        ->toBe([])
        // A ride of another bike does not stand in its way.
        ->and($days([$commute('2026-11-28', null, 8)], [logged('2026-11-28 09:00', 5, 2)]))
        ->toBe([28]);
});

it('knows when the last commute began: none before its first day', function (): void {
    $last = fn(string $now, string $from = '2026-11-28'): int => (new FillIn(
        [],
        [new Commute(3, new Moment(0), 7, [1, 2, 3, 4, 5, 6, 7], '07:40', 24.0, null, Condition::Dry, $from, null)],
        [],
        new DateTimeZone(BERLIN),
        berlin($now),
    ))->lastCommuteS();
    expect($last('2026-11-28 06:00'))
        ->toBe(PHP_INT_MIN)
        ->and($last('2026-11-28 12:00'))
        ->toBe(berlin('2026-11-28 07:40'))
        ->and($last('2026-11-28 06:00', '2026-11-20'))
        ->toBe(berlin('2026-11-27 07:40'));
});

it('knows the last reading of each bike’s odometer, by its moment, then by its place', function (): void {
    $read = fn(int $bike, string $at, float $km, int $sequence) => new Estimate(
        $sequence,
        new Moment(berlin($at), sequence: $sequence),
        $bike,
        0,
        '2026-11-01',
        '2026-11-02',
        1.0,
        Condition::Dry,
        $km,
    );
    $fillIn = new FillIn(
        [
            $read(7, '2026-11-20 08:00', 900.0, 4),
            $read(7, '2026-11-21 08:00', 950.0, 2),
            $read(7, '2026-11-21 08:00', 960.0, 3),
            $read(8, '2026-11-27 08:00', 5.0, 9),
            estimate(10, 50),
        ],
        [],
        [],
        new DateTimeZone(BERLIN),
        0,
    );
    expect($fillIn->lastOdometer(7)?->odometerKm)
        ->toBe(960.0)
        ->and($fillIn->lastOdometer(8)?->odometerKm)
        ->toBe(5.0)
        ->and($fillIn->lastOdometer(9))
        ->toBeNull();
});

it('numbers what it fills in apart, finds its estimates and commutes, and takes no rest for a ride', function (): void {
    $zone = new DateTimeZone(BERLIN);
    $now = berlin('2026-11-28 12:00');
    $commute = fn(int $id, int $bike) => new Commute(
        $id,
        new Moment(0, sequence: $id),
        $bike,
        [1],
        '07:30',
        5.0,
        null,
        Condition::Dry,
        '2026-11-23',
        null,
    );
    // Half a kilometre a day is one, too.
    $fillIn = new FillIn([estimate(3, 10)], [$commute(21, 7), $commute(22, 8)], [], $zone, $now);
    expect(array_map(fn(Ride $ride) => $ride->id, $fillIn->rides([])))
        ->toBe([-1, -2, -3, -4, -5, -6, -7])
        ->and(filledIn($fillIn)['24'])
        ->toBe(0.5)
        ->and($fillIn->estimate(10)?->km)
        ->toBe(3.0)
        ->and($fillIn->estimate(11))
        ->toBeNull()
        ->and(array_map(fn(Commute $one) => $one->id, $fillIn->commutesOf(8)))
        ->toBe([22]);
    // Seen from its own place an estimate does not count itself.
    expect((new FillIn([estimate(120, 10)], [], [], $zone, $now))->shareOf(estimate(240, 10), [])->knownKm)->toBe(0.0);
    // A rest that was said before it leaves five days for all of it; one said later leaves its share of the first unridden, and none of the
    // second.
    $rest = fn(int $sequence) => new RestDay(1, new Moment(0, sequence: $sequence), 7, '2026-11-24');
    $share = (new FillIn([], [], [$rest(1)], $zone, $now))->shareOf(estimate(240, 20), []);
    expect([$share->knownKm, $share->kmEach, count($share->dates)])->toBe([0.0, 48.0, 5]);
    $two = new FillIn([estimate(60, 10, '2026-11-23', '2026-11-25', '2026-11-25 23:59'), estimate(240, 20)], [], [$rest(30)], $zone, $now);
    expect(filledIn($two))->toEqual(['23' => 20.0, '25' => 20.0, '26' => 66.666667, '27' => 66.666667, '28' => 66.666667]);
});
