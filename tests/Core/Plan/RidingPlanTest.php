<?php

declare(strict_types=1);

use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\DipRule;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlannedRide;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\RidingPlan;
use Dripel\Core\Plan\Simulate;
use Dripel\Core\Plan\SimulatedBike;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\SimulatedWeek;
use Dripel\Core\Plan\SimulateResult;
use Dripel\Core\Plan\WorkshopYears;
use Dripel\Core\Plan\YearOfRiding;
use Dripel\Core\Wear\DigitalReading;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\WorkshopWear;

/** Noon of Wednesday 25 November 2026, UTC. */
const WEDNESDAY_S = 1795608000;

/**
 * One bike with a waxed chain 1 on it and waxed 2, bare 3 and worn 4 on its rail, ridden on days so many ago.
 *
 * @param array<int, array{float, 1?: Condition}> $rides km by days ago
 * @param array<string, mixed> $with settings of the bike
 */
function riddenAgo(array $rides, array $with = []): Book
{
    $set = fn(SettingKey $key, int $subject, mixed $value): DatedSetting => new DatedSetting($key, $subject, new Moment(0), $value);
    $ago = fn(int $days): Moment => new Moment(WEDNESDAY_S - 86_400 * $days);

    return new Book(
        [5],
        [1, 2, 3, 4],
        new Settings([
            ...array_map(fn(int $chain) => $set(SettingKey::ChainHome, $chain, 5), [1, 2, 3, 4]),
            ...array_map(fn(string $key, mixed $value) => $set(SettingKey::from($key), 5, $value), array_keys($with), $with),
        ]),
        [new Fitting(1, $ago(300), 5, 1)],
        array_map(
            fn(int $days, array $ride) => new Ride($days + 1, $ago($days), 5, $ride[0], $ride[0] / 20.0, $ride[1] ?? Condition::Dry),
            array_keys($rides),
            $rides,
        ),
        [
            new Dip(900, $ago(301), 1),
            new Dip(901, $ago(3), 2),
            new Dip(902, $ago(4), 4),
            new Reading(903, $ago(2), 4, new DigitalReading(0.9, 0.02)),
            new Reading(904, $ago(2), 2, new DigitalReading(0.2, 0.01)),
        ],
    );
}

/** @param list<PlannedRide> $planned */
function weekAhead(Book $book, array $planned = [], int $nowS = WEDNESDAY_S): RidingPlan
{
    $utc = new DateTimeZone('UTC');

    return RidingPlan::of($book, Rail::all($book, $nowS, $utc)[0], $planned, 7, $nowS, $utc);
}

it('rides what is planned, else the week as it was written, else as usual, else as much as lately on any day', function (): void {
    // Eight Sundays of 50 km, every second one wet: 1.75 of wax a km.
    $sundays = [];
    for ($n = 0; $n < 8; $n++) {
        $sundays[3 + 7 * $n] = [50.0, $n % 2 === 0 ? Condition::Wet : Condition::Dry];
    }
    $usual = weekAhead(riddenAgo($sundays));
    expect([$usual->ridden, $usual->byHabit()])
        ->toBe([[0.0, 0.0, 0.0, 0.0, 50.0, 0.0, 0.0], true])
        ->and($usual->km[4])
        ->toEqualWithDelta((50.0 + 125.0) / 2, 1e-9);

    // Here and there: 140 km in eight weeks, so much a day.
    $lately = weekAhead(riddenAgo([10 => [100.0], 33 => [40.0]]));
    expect($lately->byHabit())->toBeTrue();
    foreach ($lately->ridden as $km) {
        expect($km)->toEqualWithDelta(140.0 / ((33 - 0.5) / 7) / 7, 0.15);
    }
    // On dry roads a kilometre takes one of wax; in the wet two and a half.
    expect($lately->km)
        ->toEqualWithDelta($lately->ridden, 1e-9)
        ->and(weekAhead(riddenAgo([10 => [100.0, Condition::Wet], 33 => [40.0, Condition::Wet]]))->km[3])
        ->toEqualWithDelta(2.5 * $lately->ridden[3], 1e-9);

    // As it was written, in km as ridden, at what the winter’s rides took.
    $written = weekAhead(riddenAgo($sundays, ['bike.week_winter' => [10, 0, 20, 0, 0, 0, 70]]));
    expect([$written->ridden, $written->byHabit()])
        ->toBe([[20.0, 0.0, 0.0, 0.0, 70.0, 10.0, 0.0], false])
        ->and($written->km[4])
        ->toEqualWithDelta(70.0 * 1.75, 1e-9);
    $planned = weekAhead(riddenAgo($sundays), [
        new PlannedRide(1, '2026-11-27', '2026-11-27', 5, 120.0, Condition::Muddy, 'Over the moor'),
    ]);
    expect([$planned->ridden[2], $planned->km[2], $planned->names[2], $planned->ridden[4]])->toBe([120.0, 420.0, 'Over the moor', 50.0]);
});

it('rides nothing more today where it was ridden today', function (): void {
    $plan = weekAhead(riddenAgo([0 => [20.0]], ['bike.week_winter' => [0, 0, 30, 0, 0, 0, 0]]));
    expect([$plan->ridden[0], $plan->km[0]])->toBe([0.0, 0.0]);
});

it('rides as usual until the evening, and what is planned until midnight', function (): void {
    $written = riddenAgo([], ['bike.week_winter' => [0, 0, 30, 0, 0, 0, 0]]);
    $late = [new PlannedRide(1, '2026-11-25', '2026-11-25', 5, 45.0, Condition::Dry, 'By lamplight')];
    [$six, $seven] = [WEDNESDAY_S + 7 * 3600 - 1, WEDNESDAY_S + 7 * 3600];
    expect(weekAhead($written, nowS: $six)->ridden[0])
        ->toBe(30.0)
        ->and(weekAhead($written, nowS: $seven)->ridden)
        ->toBe([0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0])
        ->and(weekAhead($written, $late, $seven)->ridden[0])
        ->toBe(45.0)
        ->and(weekAhead(riddenAgo([10 => [100.0], 33 => [40.0]]), nowS: $seven)->ridden[0])
        ->toBe(0.0);
});

it('knows from when on a bike may be ridden next, by all that is expected of it', function (): void {
    $next = fn(Book $book, array $planned = []): ?string => ($atS = weekAhead($book, $planned)->nextRideS(
        LocalDay::of(WEDNESDAY_S, new DateTimeZone('UTC')),
    )) === null
        ? null
        : gmdate('D H:i', $atS);
    $sundays = array_fill_keys(range(3, 52, 7), [50.0]);
    expect($next(riddenAgo($sundays)))
        ->toBe('Sun 08:00')
        ->and($next(riddenAgo($sundays), [new PlannedRide(1, '2026-11-27', '2026-11-27', 5, 120.0, null, 'Over the moor')]))
        ->toBe('Fri 08:00')
        // To the baker's and back.
        ->and($next(riddenAgo(array_fill_keys(range(3, 52, 7), [0.6]))))
        ->toBe('Sun 08:00')
        // Now here and now there: it may be tomorrow.
        ->and($next(riddenAgo([10 => [100.0], 33 => [40.0]])))
        ->toBe('Thu 08:00')
        ->and($next(riddenAgo([])))
        ->toBeNull();
});

it('knows the mean week of the last year, and what a km took', function (): void {
    $at = fn(string $time): int => (int) strtotime("{$time} UTC");
    $ride = fn(int $id, string $time, float $km, Condition $condition = Condition::Dry) => new Ride(
        $id,
        new Moment($at($time)),
        5,
        $km,
        null,
        $condition,
    );
    $year = fn(array $rides): YearOfRiding => YearOfRiding::of(
        Rides::of($rides),
        new Settings([]),
        $at('2026-11-25 12:00'),
        new DateTimeZone('UTC'),
    );
    // 364 days ago is the 26th of November; the ride of noon that day is no longer of the year, the one a minute later is.
    $found = $year([
        $ride(1, '2025-11-26 12:00', 500.0),
        $ride(2, '2025-11-26 12:01', 104.0),
        $ride(3, '2026-11-22 09:00', 52.0, Condition::Wet),
        $ride(4, '2026-11-25 12:00', 52.0),
        $ride(5, '2026-11-25 12:01', 500.0),
    ]);
    // 52 weeks but for a minute: Wednesdays 104 and 52, a Sunday of 52; wet is 2.5.
    expect($found->weekKm)
        ->toEqualWithDelta([0, 0, 3.0, 0, 0, 0, 1.0], 1e-4)
        ->and($found->factor)
        ->toEqualWithDelta((104.0 + 2.5 * 52.0 + 52.0) / 208.0, 1e-9);
    // Of less than four weeks it is taken to be four; of none nothing.
    expect($year([$ride(1, '2026-11-23 12:00', 40.0)])->weekKm[0])
        ->toBe(10.0)
        ->and([$year([])->weekKm, $year([])->factor])
        ->toBe([array_fill(0, 7, 0.0), 1.0]);
});

it('tells weeks apart that are unlike others', function (array $planned, bool $special): void {
    expect(weekAhead(riddenAgo([10 => [100.0]]), $planned)->special)->toBe($special);
})->with([
    'nothing planned' => [[], false],
    'for this bike' => [[new PlannedRide(1, '2026-11-27', '2026-11-27', 5, 120.0)], true],
    'for all of them' => [[new PlannedRide(1, '2026-11-27', '2026-11-27', null, 0.0)], true],
    'for another' => [[new PlannedRide(1, '2026-11-27', '2026-11-27', 6, 120.0)], false],
]);

it('takes a workshop into the years as it is: the chains that can be waxed, how worn each is, its prices, its schools', function (): void {
    $book = riddenAgo([5 => [100.0], 12 => [80.0], 20 => [60.0]], ['bike.speeds' => 11]);
    $price = fn(Supply $supply, int $minor, float $quantity): Price => new Price(1, $supply, 0, $minor, $quantity);
    $prices = new PriceList([
        $price(Supply::Chain, 4000, 1.0),
        $price(Supply::QuickLink, 600, 2.0),
        $price(Supply::Cassette, 5500, 1.0),
        $price(Supply::Wax, 800, 500.0),
    ]);
    $years = WorkshopYears::of(
        $book,
        new WorkshopWear($book, WEDNESDAY_S),
        null,
        null,
        6.0,
        $prices,
        ['white_spirit' => 600.0],
        1500.0,
        WEDNESDAY_S,
    );
    $input = $years->input(new SimulatedPolicy(300.0), 2);
    [$chains, $costs] = [$input->bikes[0]->chains, $input->costs];
    expect([$input->weeks, array_map(fn(array $one) => $one['id'], $chains), $input->bikes[0]->onBike])
        ->toBe([104, [1, 2], 1])
        // Read at 0.20 ± 0.01 where a new chain is 0.02 ± 0.02: (0.20 · 10,000 + 0.02 · 2,500) / 12,500.
        ->and($chains[1]['wear_pct'])
        ->toEqualWithDelta(0.164, 1e-3)
        ->and($chains[0]['wear_pct'])
        ->toBeGreaterThan(0.02)
        ->toBeLessThan(0.06)
        ->and([$chains[0]['used_km'], $chains[1]['used_km'], $chains[0]['km']])
        ->toBe([240.0, 0.0, 240.0])
        ->and([$costs->chain, $costs->quickLink, $costs->cassette, $costs->waxKg, $costs->topUp, $costs->hour])
        ->toBe([4000.0, 300.0, 5500.0, 1600.0, 0.0, 1500.0])
        ->and(array_map(fn(Supply $supply) => $supply->value, $years->unpriced))
        ->toBe(['drip_wax', 'white_spirit'])
        ->and($years->only(6)->bikes)
        ->toBe([]);
    // The chains of a bike share a pot day: 4 + 10 + 45 ÷ 2 min.
    expect([
        $input->pot->endMinutesPerChain,
        $years->input(new SimulatedPolicy(300.0, chains: 4), 2)->pot->endMinutesPerChain,
    ])->toEqualWithDelta([36.5, 25.25], 1e-9);
    // Whoever plans well takes the way with the fewer minutes, a top-up at 60 though it takes 15.
    foreach ([40.0, 100.0, 300.0] as $km) {
        $planned = fn(SimulateResult $of): float => $of->minutes() + 45.0 * $of->sum(fn(SimulatedWeek $week) => $week->topUps);
        $ways = array_map(
            fn(DipRule $dips) => $planned((new Simulate())($years->input((new SimulatedPolicy($km))->dipping($dips), 2))),
            DipRule::cases(),
        );
        expect($planned($years->ridden(new SimulatedPolicy($km), 2)))->toBe(min($ways));
    }
    // By another school, for the speeds of the bike.
    $by = fn(LimitSchool $school): SimulatedBike => $years->input(new SimulatedPolicy(300.0), 1, $school)->bikes[0];
    foreach (LimitSchool::cases() as $school) {
        expect($by($school)->limitPct)->toBe($school->limitPct(11));
    }
});
