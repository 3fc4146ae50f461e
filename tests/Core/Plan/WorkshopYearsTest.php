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
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\PlannedTopUp;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\WorkshopYears;
use Dripel\Core\Plan\YearOfRiding;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\WorkshopWear;

/** Midnight UTC of Monday 23 November 2026. */
const YEARS_NOW = 1_795_392_000;

/**
 * Bike 1 for half a year on Tuesdays, 40 km in two hours, and on Sundays, 60 km in the wet; bike 2 as much again on a chain of its own;
 * bike 3 hangs there without a ride. Chains 11 and 12 are bike 1's, 12 hangs; each was dipped thrice.
 *
 * @param list<bool> $rinsed whether the dips of chain 11 were, the oldest first
 * @param list<DatedSetting> $settings
 */
function yearsBook(array $rinsed = [false, true, false], array $settings = []): Book
{
    $at = fn(float $daysAgo): Moment => new Moment(YEARS_NOW - (int) (86_400 * $daysAgo));
    $rides = $events = [];
    foreach ([1, 2] as $bike) {
        for ($week = 26; $week > 0; $week--) {
            $rides[] = new Ride(count($rides) + 1, $at(7 * $week - 1.4), $bike, 40.0, 2.0, Condition::Dry);
            $rides[] = new Ride(count($rides) + 1, $at(7 * $week - 6.4), $bike, 60.0, 3.0, Condition::Wet);
        }
    }
    foreach ([11, 12, 21, 31] as $chain) {
        foreach ($rinsed as $n => $was) {
            $events[] = new Dip(100 + count($events), $at(170 - 60 * $n), $chain, rinsed: $was);
        }
    }
    // The last of 12 is fresh: one ride's wax is used on 11 alone.
    return new Book(
        [1, 2, 3],
        [11, 12, 21, 31],
        new Settings([
            ...array_map(fn(int $chain) => new DatedSetting(SettingKey::ChainHome, $chain, new Moment(0), intdiv($chain, 10)), [
                11,
                12,
                21,
                31,
            ]),
            new DatedSetting(SettingKey::IntervalKm, 2, new Moment(0), 500.0),
            new DatedSetting(SettingKey::BikeSpeeds, 1, new Moment(0), 11),
            ...$settings,
        ]),
        array_map(fn(int $chain) => new Fitting($chain, $at(200), intdiv($chain, 10), $chain), [11, 21, 31]),
        $rides,
        $events,
    );
}

function yearsOf(Book $book, ?float $waxG = null, ?int $atOnce = null): WorkshopYears
{
    return WorkshopYears::of(
        $book,
        new WorkshopWear($book, YEARS_NOW),
        null,
        $waxG,
        6.0,
        new PriceList([
            new Price(1, Supply::Chain, 0, 3000, 1.0),
            new Price(2, Supply::Wax, 0, 2000, 500.0),
            new Price(3, Supply::Cassette, 0, 6000, 1.0),
        ]),
        [],
        1500.0,
        YEARS_NOW,
        $atOnce,
    );
}

it('takes a year as it was ridden, by weekday and by what its roads took', function (): void {
    $year = YearOfRiding::of(yearsBook()->ridesOf(1), new Settings([]), YEARS_NOW, new DateTimeZone('UTC'));
    // The first was on a Tuesday of half a year ago: 180.6 days. The wet takes two and a half times as much.
    $weeks = (7 * 26 - 1.4) / 7;
    expect($year->weekKm)
        ->toEqualWithDelta([0.0, (26 * 40) / $weeks, 0.0, 0.0, 0.0, 0.0, (26 * 60) / $weeks], 1e-9)
        ->and($year->factor)
        ->toEqualWithDelta((40 + 2.5 * 60) / 100, 1e-9);
    // What is more than a year ago is not counted, and one ride alone is no year: four weeks at least.
    $one = fn(float $daysAgo): YearOfRiding => YearOfRiding::of(
        Rides::of([new Ride(1, new Moment(YEARS_NOW - (int) (86_400 * $daysAgo)), 1, 80.0, null, Condition::Dry)]),
        new Settings([]),
        YEARS_NOW,
        new DateTimeZone('UTC'),
    );
    expect(array_sum($one(YearOfRiding::DAYS + 0.1)->weekKm))
        ->toBe(0.0)
        ->and($one(YearOfRiding::DAYS + 0.1)->factor)
        ->toBe(1.0)
        ->and(array_sum($one(YearOfRiding::DAYS)->weekKm))
        ->toBe(0.0)
        ->and(array_sum($one(YearOfRiding::DAYS - 1 / 86_400)->weekKm))
        ->toBeGreaterThan(0.0)
        ->and(array_sum($one(2.0)->weekKm))
        ->toBe(20.0);
});

it('charges a re-wax with what its years used up, and a chain with what it takes to strip it', function (): void {
    $years = yearsOf(yearsBook());
    $bike = $years->bikes[0];
    $lived = $years->only(1)->ridden(new SimulatedPolicy(300.0), 2);
    $costs = $years->input(new SimulatedPolicy(300.0), 2)->costs;
    $economy = $years->economy($bike, 300.0, 2);
    // As a hook would add it up: grams by the kilogram's price, shared by as many re-waxes as the km ask for.
    [$g, $topUps, $strips, $rewaxes] = [0.0, 0, 0, $lived->km() / 300.0];
    foreach ($lived->weeks as $week) {
        $g += $week->waxTakenG + $week->waxThrownG;
        $topUps += $week->topUps;
        $strips += $week->strips;
    }
    expect($g)
        ->toBeGreaterThan(0.0)
        ->and($economy->rewaxCost)
        ->toEqualWithDelta((0.001 * $g * $costs->waxKg + $topUps * $costs->topUp) / $rewaxes, 1e-9)
        ->and($economy->minutesPerRewax)
        ->toEqualWithDelta(($lived->minutes() - $strips * $costs->stripMinutes) / $rewaxes, 1e-9)
        ->and($economy->stripCost)
        ->toBe($costs->strip + $costs->stripHands());
});

it('takes the workshop to its years: bikes that are ridden, chains, pot, minutes, prices', function (): void {
    $years = yearsOf(yearsBook());
    $in = $years->input(new SimulatedPolicy(300.0), 2);

    expect(array_map(fn($bike) => [$bike->id, count($bike->chains), $bike->onBike], $in->bikes))
        ->toBe([[1, 2, 11], [2, 1, 21]])
        ->and($in->weeks)
        ->toBe(104)
        ->and([$in->costs->chain, $in->costs->waxKg, $in->costs->cassette, $in->costs->topUp, $in->costs->hour])
        ->toBe([3000.0, 4000.0, 6000.0, 0.0, 1500.0])
        ->and(array_map(fn(Supply $supply) => $supply->value, $years->unpriced))
        ->toBe(['quick_link', 'drip_wax']);
    // The usual pot; its minutes; a bare chain at its share of a day of one and a half chains a bike.
    expect([$in->pot->waxG, $in->pot->fixedMinutes, $in->pot->perDipMinutes, $in->pot->batchMinutes, $in->pot->swapMinutes])
        ->toBe([500.0, 45.0, 4.0, 10.0, 3.0])
        ->and($in->pot->topUp)
        ->toEqual(new PlannedTopUp($in->pot->topUp->km ?? 0.0, 60.0, 2))
        ->and($in->pot->endMinutesPerChain)
        ->toEqualWithDelta(4.0 + 10.0 / max(1, (int) $in->pot->capacity) + 45.0 / 1.5, 1e-9);
    $two = yearsOf(yearsBook(), atOnce: 2)->input(new SimulatedPolicy(300.0), 1);
    expect([$two->pot->capacity, $two->pot->endMinutesPerChain])->toBe([2, 4.0 + 5.0 + 30.0]);
    // Too little for twice what all chains take is filled up, and said.
    $poor = yearsOf(yearsBook(), 20.0);
    $filled = $poor->input(new SimulatedPolicy(300.0), 1);
    expect([$filled->pot->waxG, $poor->pouredG($filled), $years->pouredG($in)])->toBe([36.0, 36.0, null]);
    // One bike alone; another school of the limit by its speeds; no bottle where none is used.
    expect($years->only(2)->bikes)->toHaveCount(1);
    $strict = $years->input(new SimulatedPolicy(300.0), 1, LimitSchool::BySpeeds)->bikes;
    expect($strict[0]->limitPct)->toBe(LimitSchool::BySpeeds->limitPct(11));
    $none = yearsOf(yearsBook(settings: [new DatedSetting(SettingKey::TopUpsMost, 0, new Moment(0), 0)]));
    expect($none->input(new SimulatedPolicy(300.0), 1)->pot->topUp)->toBeNull();
    // A bike that goes by hours too spends them at the pace of its timed rides.
    $timed = yearsOf(yearsBook(settings: [new DatedSetting(SettingKey::IntervalHours, 1, new Moment(0), 20.0)]))->bikes[0];
    expect([$timed->intervalHours, $timed->hoursPerKm])->toEqualWithDelta([20.0, 0.05], 1e-9);
});

it('rinses in the years to come as re-waxes of the last were, the first wax of a chain aside', function (array $rinsed, bool $will): void {
    expect(yearsOf(yearsBook($rinsed))->input(new SimulatedPolicy(300.0), 1)->pot->rinsed)->toBe($will);
})->with([
    'as often as not' => [[false, true, false], true],
    'never' => [[true, false, false], false],
    'the first does not count' => [[false, true, true], true],
    'nothing yet' => [[false], true],
]);

it('knows the interval that is gone by: that of each bike, by its km', function (): void {
    expect(WorkshopYears::intervalKm(yearsBook(), YEARS_NOW))
        ->toEqualWithDelta(400.0, 1e-9)
        ->and(WorkshopYears::intervalKm(new Book([1], [], new Settings([]), [], [], []), YEARS_NOW))
        ->toBe(300.0);
});
