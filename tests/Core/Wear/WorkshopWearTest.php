<?php

declare(strict_types=1);

use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Interval\BikeAdvice;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\IntervalEconomy;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Interval\LifePoint;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\PartWear;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\EvenWear;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Plan\WorkshopYears;
use Dripel\Core\Wear\ChainRate;
use Dripel\Core\Wear\DigitalReading;
use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\OwnChains;
use Dripel\Core\Wear\ReadingDue;
use Dripel\Core\Wear\WearForecastInput;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WearPrior;
use Dripel\Core\Wear\WearVerdict;
use Dripel\Core\Wear\WorkshopWear;
use Tests\Core\Next\Asked;

const DAY_S = 86400;

/**
 * One bike, 100 km a day, each chain for the same number of days one after the other, waxed every third day, measured every tenth
 * with a digital gauge.
 *
 * @param array<int, float> $ratePct in % per 1000 km by chain
 * @param list<int> $retired
 */
function worn(
    array $ratePct,
    int $days = 40,
    array $retired = [],
    array $parts = [],
    array $fittings = [],
    array $settings = [],
    Condition $condition = Condition::Dry,
    bool $waxed = true,
    bool $rinsed = true,
): Book {
    [$rides, $events, $day] = [[], [], 0];
    foreach ($ratePct as $chain => $rate) {
        $fittings[] = new Fitting(1000 + $chain, new Moment(DAY_S * $day), 1, $chain);
        for ($i = 0; $i < $days; $i++) {
            $waxed && $i % 3 === 0 && ($events[] = new Dip(10_000 + $day, new Moment(DAY_S * $day), $chain, rinsed: $rinsed));
            $rides[] = new Ride(++$day, new Moment(DAY_S * $day - 3600), 1, 100.0, 4.0, $condition);
            if ($i % 10 === 9) {
                $events[] = new Reading(
                    $day,
                    new Moment(DAY_S * $day - 60),
                    $chain,
                    new DigitalReading(0.02 + ($rate * ($i + 1)) / 10, 0.01),
                );
            }
        }
        if (in_array($chain, $retired, true)) {
            $fittings[] = new Fitting(2000 + $chain, new Moment(DAY_S * $day - 30), 1, null);
            $events[] = new Retirement(3000 + $chain, new Moment(DAY_S * $day - 20), $chain);
        }
    }
    $homes = array_map(fn(int $chain) => new DatedSetting(SettingKey::ChainHome, $chain, new Moment(0), 1), array_keys($ratePct));

    return new Book([1], array_keys($ratePct), new Settings([...$homes, ...$settings]), $fittings, $rides, $events, parts: $parts);
}

it('takes from the readings of a chain what they alone say of its rate', function (): void {
    // Many exact readings on a line of 0.05 % per 1000 km, where 0.02 was expected: the data, not the prior.
    $readings = array_map(fn(int $i) => ForecastReading::exact(500.0 * $i, 0.02 + 0.025 * $i, 0.005), range(1, 20));
    $rate = ChainRate::of(new WearForecastInput(0.5, $readings, new WearPrior(0.02, 0.6, 0.02, 0.02), 10_000.0));
    expect($rate->logFactor)
        ->toEqualWithDelta(log(0.05 / 0.02), 0.01)
        // By weighted least squares, ISO/IEC Guide 98-3 (GUM) 5.1: the variance of a slope beside an intercept of sd 0.02, over the
        // slope squared: 0.05² · (717.5/σ² − (105/σ²)² / (20/σ² + 1/0.02²)) with x in 1000 km and σ = 0.005.
        ->and($rate->precision)
        ->toEqualWithDelta(16_800.0, 500.0)
        ->and(ChainRate::of(new WearForecastInput(0.5, [], new WearPrior(0.02, 0.6, 0.02, 0.02), 10_000.0))->precision)
        ->toBe(0.0);
});

it('sharpens what is expected of a chain by the others, as two levels of normals do', function (): void {
    // By hand: 0.36 = 0.25 shared + 0.11 apart; weight 1/(0.11 + 0.1) each; mean 0.5·14.2857/18.2857, variance 1/18.2857 + 0.11.
    $own = OwnChains::of([...array_fill(0, 3, new ChainRate(0.5, 10.0)), new ChainRate(9.0, 0.5)]);
    $prior = $own->sharpen(new WearPrior(0.03, 0.6, 0.02, 0.02));
    expect($own->chains)
        ->toBe(3)
        ->and($own->logFactor)
        ->toEqualWithDelta(0.390625, 1e-9)
        ->and($own->logSd)
        ->toEqualWithDelta(sqrt(0.0546875 + 0.11), 1e-9)
        // In steps of a twentieth.
        ->and($prior->rateMedian)
        ->toEqualWithDelta(0.03 * exp(0.4), 1e-12)
        ->and($prior->rateLogSd)
        ->toEqualWithDelta(0.4, 1e-9)
        // Chains that differ more than their readings explain leave more open: variance (1 + 0 + 1) ÷ 2 less 0.001 from one to the next.
        ->and(OwnChains::of([new ChainRate(-1.0, 1000.0), new ChainRate(0.0, 1000.0), new ChainRate(1.0, 1000.0)])->logSd)
        ->toEqualWithDelta(sqrt(1.0 / (4.0 + 3.0 / 1.0) + 0.999), 1e-9)
        // One is too few to be listened to.
        ->and(OwnChains::of([new ChainRate(0.5, 10.0)])->sharpen($house = new WearPrior(0.03, 0.6, 0.02, 0.02)))
        ->toBe($house);
});

it('expects a new chain to wear as the others did, and none by its own example', function (): void {
    $book = worn([1 => 0.08, 2 => 0.09, 3 => 0.085, 4 => 0.03], settings: [new DatedSetting(SettingKey::ChainHome, 5, new Moment(0), 1)]);
    $wear = new WorkshopWear(new Book([1], [...$book->chainIds, 5], $book->settings, [], [], []), 161 * DAY_S);
    expect($wear->own()->chains)->toBe(0);
    $wear = new WorkshopWear($book, 161 * DAY_S);
    $house = (1000.0 * 0.5) / LifeCurve::usual()->lifeKm(300.0);
    expect($wear->own()->chains)
        ->toBe(4)
        ->and($wear->own(4)->chains)
        ->toBe(3)
        ->and($wear->own(bikeId: 2)->chains)
        ->toBe(0)
        ->and($wear->of(4)?->readings()->prior->rateMedian)
        ->toBeGreaterThan(1.7 * $house)
        ->and($wear->of(4)?->readings()->prior->rateLogSd)
        ->toBeLessThan(0.5)
        // What it was measured to do itself still weighs most.
        ->and($wear->of(4)?->result->rateP50)
        ->toEqualWithDelta(0.03, 0.004);
});

it('tells a chain by the others of its bike where they are enough, else by all', function (): void {
    $home = fn(int $chain, int $bike): DatedSetting => new DatedSetting(SettingKey::ChainHome, $chain, new Moment(0), $bike);
    $book = worn(
        [1 => 0.03, 2 => 0.09, 3 => 0.1, 4 => 0.03, 5 => 0.035],
        settings: [$home(1, 1), $home(2, 1), $home(3, 1), $home(4, 2), $home(5, 2)],
    );
    $wear = new WorkshopWear($book, 201 * DAY_S);
    expect($wear->tellingOf(1)->chains)
        ->toBe(2)
        ->and($wear->tellingOf(1)->factor())
        ->toBeGreaterThan(1.5)
        ->and($wear->tellingOf(4)->chains)
        ->toBe(4);
});

it('finds the same with what was kept as without', function (): void {
    $book = worn([1 => 0.08, 2 => 0.09, 3 => 0.02]);
    $memo = new class implements Memo {
        public array $known = [];

        public int $made = 0;

        public function of(string $key, Closure $make): mixed
        {
            array_key_exists($key, $this->known) || $this->made++;

            return $this->known[$key] ??= unserialize(serialize($make()));
        }
    };
    $found = fn(Memo ...$with) => array_map(
        function (int $id) use ($book, $with): array {
            $wear = new WorkshopWear($book, 130 * DAY_S, ...$with);

            return [$wear->of($id)?->result->toArray(), $wear->band($book->chain($id, 130 * DAY_S))];
        },
        [1, 2, 3],
    );
    $derived = $found();
    expect($found($memo))->toBe($derived)->and($memo->made)->toBe(9)->and($found($memo))->toBe($derived)->and($memo->made)->toBe(9);
    // A ride later it is worked out anew: the place of a chain is part of what it follows from.
    (new WorkshopWear($book->withRide(new Ride(999, new Moment(129 * DAY_S), 1, 80.0, null, Condition::Dry)), 130 * DAY_S, $memo))->of(3);
    expect($memo->made)->toBe(10);
});

it('files what it finds in effective kilometres: all factors and intervals times c change no life, no advice, no money', function (): void {
    $figures = function (float $c): array {
        $settings = [
            ...array_map(
                fn(Condition $one) => new DatedSetting(
                    SettingKey::from("factor.{$one->value}"),
                    0,
                    new Moment(0),
                    $c * Factors::houseRule()->of($one),
                ),
                Condition::cases(),
            ),
            new DatedSetting(SettingKey::IntervalKm, 1, new Moment(0), 300.0 * $c),
            new DatedSetting(
                SettingKey::LifePoints,
                0,
                new Moment(0),
                (new LifeCurve(
                    array_map(fn(LifePoint $point) => new LifePoint($c * $point->intervalKm, $point->lifeKm), LifeCurve::usual()->points()),
                ))->pairs(),
            ),
            new DatedSetting(SettingKey::TargetLifeKm, 1, new Moment(0), 20_000.0),
            // The km of a top-up and the grit that a bath may hold are figures of their own: neither takes part.
            new DatedSetting(SettingKey::TopUpsMost, 0, new Moment(0), 0),
            new DatedSetting(SettingKey::BikeSpeeds, 1, new Moment(0), 12),
        ];
        $book = worn([1 => 0.05, 2 => 0.06, 3 => 0.055], settings: $settings, condition: Condition::Damp);
        $nowS = 120 * DAY_S;
        $wear = new WorkshopWear($book, $nowS);
        $advice = BikeAdvice::ofBike($book, $wear, 1, null);
        $years = WorkshopYears::of(
            $book,
            $wear,
            null,
            null,
            6.0,
            new PriceList([new Price(1, Supply::Chain, 0, 3000, 1.0)]),
            [],
            500.0,
            $nowS,
        );
        $bike = $years->bikes[0];
        $found = $years->ridden(new SimulatedPolicy(300.0 * $c), 1);
        $economy = (new IntervalEconomy())($years->economy($bike, 300.0 * $c, 1));
        // The years and the curve answer alike.
        expect($economy->nearest(300.0 * $c)->costPer1000Km)->toEqualWithDelta(
            (float) $found->usedUpPer1000Km(),
            0.02 * (float) $found->usedUpPer1000Km(),
        );
        // Every 300 km as ridden in the damp.
        expect($bike->rateIntervalKm)
            ->toEqualWithDelta(450.0 * $c, 1e-6)
            ->and($advice?->lifeKm())
            ->toEqualWithDelta(20_000.0, 1e-6);

        return [
            $wear->ofBike(1)->factor(),
            $advice?->lifeKm(),
            $advice?->intervalKm / $c,
            $found->chainLifeKm(),
            $found->cost(),
            $found->usedUpPer1000Km(),
            $economy->nearest(300.0 * $c)->lifeKm,
            $economy->nearest(300.0 * $c)->costPer1000Km,
        ];
    };
    $once = $figures(1.0);
    expect($once)->each->toBeGreaterThan(0.0);
    foreach ([0.8, 1.25] as $c) {
        foreach ($figures($c) as $n => $figure) {
            expect($figure)->toEqualWithDelta($once[$n], 1e-6 * $once[$n], "figure {$n} at {$c}");
        }
    }
});

it('dirties the bath of the years as the riders do: rinsed where most of the last year’s re-waxes were', function (bool $rinsed): void {
    $book = worn([1 => 0.05], rinsed: $rinsed);
    $years = WorkshopYears::of($book, new WorkshopWear($book, 40 * DAY_S), null, null, 6.0, new PriceList([]), [], 0.0, 40 * DAY_S);
    expect($years->input(new SimulatedPolicy(300.0), 1)->pot->rinsed)->toBe($rinsed);
})->with([true, false]);

it('lets the newest twenty measured chains speak, a bike’s own always among them', function (): void {
    // Five measured chains of bike 1, then 25 new ones of other bikes that nobody measured.
    $book = worn([1 => 0.05, 2 => 0.06, 3 => 0.055, 4 => 0.05, 5 => 0.06], 10);
    $homes = array_map(fn(int $id) => new DatedSetting(SettingKey::ChainHome, $id, new Moment(0), 2), range(6, 30));
    $many = new Book(
        [1, 2],
        range(1, 30),
        new Settings([...$homes, ...array_map(fn(int $id) => new DatedSetting(SettingKey::ChainHome, $id, new Moment(0), 1), range(1, 5))]),
        (fn() => $this->fitted)->call($book),
        (fn() => $this->logged)->call($book),
        (fn() => $this->events)->call($book),
    );
    $wear = new WorkshopWear($many, 60 * DAY_S);
    expect($wear->own()->chains)->toBe(5)->and($wear->own(bikeId: 1)->chains)->toBe(5)->and($wear->ofBike(1)->enough)->toBeTrue();
    // Of 22 that were measured all speak of their bike, and twenty of the rider.
    $all = range(1, 22);
    $book = worn(
        array_fill_keys($all, 0.05),
        10,
        settings: array_map(fn(int $id) => new DatedSetting(SettingKey::ChainHome, $id, new Moment(0), 1), $all),
    );
    $wear = new WorkshopWear($book, 221 * DAY_S);
    expect($wear->own()->chains)->toBe(20)->and($wear->own(bikeId: 1)->chains)->toBe(22);
});

it('does not judge wax by what was ridden on oil before it', function (): void {
    // 3,000 km on oil to 0.35 %, then wax at 0.03 % per 1000 km: alone what was read on wax says how it wears on wax.
    $rides = $events = [];
    for ($day = 1; $day <= 60; $day++) {
        $rides[] = new Ride($day, new Moment(DAY_S * $day - 3600), 1, 100.0, 4.0, Condition::Dry);
        $day >= 30 && $day % 3 === 0 && ($events[] = new Dip(1000 + $day, new Moment(DAY_S * $day), 1));
        if ($day % 10 === 0) {
            $events[] = new Reading(
                2000 + $day,
                new Moment(DAY_S * $day - 60),
                1,
                new DigitalReading($day <= 30 ? 0.02 + 0.011 * $day : 0.35 + 0.003 * ($day - 30), 0.01),
            );
        }
    }
    $of = fn(?Opening $opening, array $rides) => new Book(
        [1],
        [1],
        new Settings([new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1)]),
        [new Fitting(1, new Moment(0), 1, 1)],
        $rides,
        [...$events, ...$opening === null ? [] : [$opening]],
    );
    $logged = new WorkshopWear($of(null, $rides), 60 * DAY_S);
    $late = array_values(array_filter($rides, fn(Ride $ride) => $ride->id > 30));
    $came = new WorkshopWear($of(new Opening(1, new Moment(DAY_S * 30 - 120), 1, 3000.0, WaxThen::None), $late), 60 * DAY_S);
    foreach ([$logged, $came] as $wear) {
        expect($wear->of(1)?->result->rateP50)
            ->toEqualWithDelta(0.03, 0.004)
            ->and($wear->of(1)?->result->nowMean)
            ->toEqualWithDelta(0.44, 0.01)
            ->and(count($wear->of(1)->readings()->readings))
            ->toBe(4);
    }
    // Waxed in its first kilometre: it may have been ridden on oil to there, and nobody knows how far it was worn by then.
    $soon = new Book(
        [1],
        [1],
        new Settings([new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1)]),
        [new Fitting(1, new Moment(0), 1, 1)],
        [new Ride(100, new Moment(60), 1, 0.5, 0.1, Condition::Dry), ...$rides],
        [new Dip(101, new Moment(120), 1), ...$events],
    );
    expect((new WorkshopWear($soon, 60 * DAY_S))->of(1)?->readings()->prior->initialSd)
        ->toBe(0.5)
        // It came used, and nobody knows how far: nothing is foreseen, and nothing invented.
        ->and((new WorkshopWear($of(new Opening(1, new Moment(DAY_S * 30 - 120), 1, null, WaxThen::None), $late), 60 * DAY_S))->of(1))
        ->toBeNull();
    // Never waxed: measured, but no witness of wax.
    $oil = new WorkshopWear(
        new Book(
            [1],
            [1],
            new Settings([new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1)]),
            [new Fitting(1, new Moment(0), 1, 1)],
            $rides,
            array_values(array_filter($events, fn(object $one) => $one instanceof Reading)),
        ),
        60 * DAY_S,
    );
    expect($oil->own()->chains)->toBe(0)->and($oil->ofBike(1)->chains)->toBe(0)->and(count($oil->of(1)->readings()->readings))->toBe(6);
});

/** @param array<int, array{0: float, 1: float|null, 2?: WearVerdict}> $of mean now, km to the limit in the earliest of ten cases; by chain */
function forecasts(array $of): array
{
    return array_map(
        fn(array $f) => new WearForecastResult(
            0.05,
            0.04,
            0.05,
            0.06,
            0.0,
            $f[0],
            $f[0] - 0.02,
            $f[0] + 0.02,
            $f[1],
            null,
            null,
            0.0,
            null,
            $f[2] ?? WearVerdict::Keep,
        ),
        $of,
    );
}

it('says when a bike will have too few chains, and when to buy', function (
    array $forecasts,
    ?int $wanted,
    ?string $shortOn,
    ?string $buyBy,
    ?int $goes,
): void {
    // 700 km a week; chain 3 is on the bike. By hand: two chains share it 350 km a week each, three 233.
    $set = $wanted === null ? [] : [new DatedSetting(SettingKey::ChainsWanted, 1, new Moment(0), $wanted)];
    $book = worn([1 => 0.01, 2 => 0.01, 3 => 0.01], settings: $set);
    $zone = new DateTimeZone('UTC');
    $supply = ChainSupply::of($book, Rail::all($book, 120 * DAY_S, $zone)[0], forecasts($forecasts), LocalDay::of(120 * DAY_S, $zone));
    expect([$supply?->shortOn, $supply?->buyBy, $supply?->goes?->chainId])->toBe([$shortOn, $buyBy, $goes]);
})->with([
    // 120 days after the epoch is 1 May 1970. First to go after 700·3/700 = 3 weeks, then two left until (1750 − 700)·2/700 = 3 weeks more.
    'the second to go' => [[1 => [0.1, 700.0], 2 => [0.1, 1750.0], 3 => [0.1, 99_000.0]], null, '1970-06-12', '1970-05-29', 2],
    'three wanted: the first' => [[1 => [0.1, 700.0], 2 => [0.1, 1750.0], 3 => [0.1, null]], 3, '1970-05-22', '1970-05-08', 1],
    'four wanted: too few now' => [[1 => [0.1, 700.0]], 4, '1970-05-01', '1970-05-01', null],
    'in one of ten cases it is past its limit already' => [
        [1 => [0.1, 0.0], 2 => [0.1, 900.0], 3 => [0.1, null]],
        3,
        '1970-05-01',
        '1970-05-01',
        1,
    ],
    'one wanted: the last of them, alone for a week' => [
        [1 => [0.1, 700.0], 2 => [0.1, 1750.0], 3 => [0.1, 2450.0]],
        1,
        '1970-06-19',
        '1970-06-05',
        3,
    ],
    'nothing is foreseen' => [[1 => [0.1, null]], null, null, null, null],
    'beyond five years' => [[1 => [0.1, 90_000.0], 2 => [0.1, 91_000.0], 3 => [0.1, 99_000.0]], null, null, null, null],
]);

it('takes the least worn of chains with as much wax, so that they come to wear evenly', function (): void {
    $now = 120 * DAY_S;
    $zone = new DateTimeZone('UTC');
    $book = worn([1 => 0.03, 2 => 0.01, 3 => 0.01]);
    [$byKm, $byWear] = [Rail::all($book, $now, $zone)[0], Rail::all($book, $now, $zone, new WorkshopWear($book, $now))[0]];
    $ids = fn(array $chains): array => array_map(fn(ChainState $chain) => $chain->chainId, $chains);
    expect([$ids($byKm->inTurn()), $ids($byWear->inTurn())])
        ->toBe([[1, 2], [2, 1]])
        ->and([$byKm->bestHanging()?->chainId, $byWear->bestHanging()?->chainId])
        ->toBe([1, 2])
        ->and(array_column($byWear->hanging, 'chainId'))
        ->toBe([1, 2]);
    // The plan does so too.
    $next = fn(Rail $rail): ?int => WorkshopPlan::of($book, [$rail], new PlanTerms(14, [], true), [], $now, $zone)->nextOn(1);
    expect([$next($byKm), $next($byWear)])->toBe([1, 2]);
});

it('says how evenly chains wear, and which is to be measured', function (): void {
    $book = worn([1 => 0.01, 2 => 0.01, 3 => 0.01], waxed: false);
    $zone = new DateTimeZone('UTC');
    $rail = Rail::all($book, 120 * DAY_S, $zone)[0];
    $of = forecasts([1 => [0.21, 9000.0], 2 => [0.33, 900.0, WearVerdict::Measure], 3 => [0.3, 900.0]]);
    $even = EvenWear::of($rail, $of);
    expect([$even?->least->chainId, $even?->most->chainId, $even?->even(), $even?->on])
        ->toBe([1, 2, false, false])
        ->and($even?->apartPct)
        ->toEqualWithDelta(0.12, 1e-9)
        ->and(EvenWear::of($rail, forecasts([1 => [0.2, 1.0]])))
        ->toBeNull()
        ->and(EvenWear::of($rail, forecasts([3 => [0.1, 1.0], 1 => [0.2, 1.0]]))?->on)
        ->toBeTrue()
        // Measured after its last ride: nothing new would be learnt. Ridden 100 km since, it is due.
        ->and(ReadingDue::of($book->chain(2, 120 * DAY_S), $of[2]))
        ->toBeFalse();
    $later = $book->withRide(new Ride(998, new Moment(120 * DAY_S + 3600), 1, 100.0, null, Condition::Dry));
    $onBike = forecasts([3 => [0.4, 100.0, WearVerdict::Measure], 1 => [0.1, 9000.0], 2 => [0.1, 9000.0]]);
    $kinds = array_map(
        fn(NextItem $item) => "{$item->kind->value} {$item->verb?->value}",
        Asked::oneByOne(Asked::input($later, 121 * DAY_S, $zone, more: ['forecasts' => $onBike])),
    );
    expect(ReadingDue::of($later->chain(3, 121 * DAY_S), $onBike[3]))
        ->toBeTrue()
        ->and($kinds)
        ->toContain('measure measure')
        ->not->toContain('buy add');
});

it('counts what the chains did to a cassette, and spares it what the trainer took', function (): void {
    $wheel = new Part(50, PartKind::Cassette);
    $trainer = new Part(51, PartKind::Cassette, onTrainer: true);
    $fit = [new Fitting(1, new Moment(0), 1, 50, Slot::Cassette), new Fitting(2, new Moment(DAY_S * 80), 1, 51, Slot::Trainer)];
    // Chains 1 and 2 reach 0.5 % after 3,000 and 4,000 km of the 4,000 that they ran; 3 does not.
    $book = worn([1 => 0.17, 2 => 0.125, 3 => 0.01], retired: [1, 2], parts: [$wheel, $trainer], fittings: $fit);
    $of = PartWear::of($wheel, $book, 200 * DAY_S);
    expect([$of->outlived, $of->pastLimitKm, $of->chainsKm])
        ->toBe([2, 1000.0, [1 => 4000.0, 2 => 4000.0, 3 => 4000.0]])
        ->and($of->mayMakeSkip())
        ->toBeTrue()
        ->and(PartWear::of($trainer, $book, 200 * DAY_S)->chainsKm)
        ->toBe([])
        ->and($book->inventory()->part(50, 200 * DAY_S)->km->km)
        ->toBe(12_000.0);
    $indoors = worn([1 => 0.01, 2 => 0.01, 3 => 0.01], parts: [$wheel, $trainer], fittings: $fit, condition: Condition::Indoor);
    expect([$indoors->inventory()->part(50, 200 * DAY_S)->km->km, $indoors->inventory()->part(51, 200 * DAY_S)->km->km])
        ->toBe([8_000.0, 4_000.0])
        ->and(PartWear::of($wheel, $indoors, 200 * DAY_S)->mayMakeSkip())
        ->toBeFalse();
});

it('hears one chain alone from three readings over 1,500 km on, and none that says hardly anything', function (
    float $precision,
    int $readings,
    float $overKm,
    bool $counts,
    bool $alone,
): void {
    $rate = new ChainRate(0.1, $precision, $readings, $overKm);
    expect([$rate->counts(), $rate->standsAlone()])->toBe([$counts, $alone]);
})->with([[1.0, 3, 1500.0, true, true], [0.999, 3, 1500.0, false, false], [1.0, 2, 1500.0, true, false], [1.0, 3, 1499.9, true, false]]);

it('knows over how many readings and kilometres a rate was measured', function (): void {
    $readings = array_map(fn(int $i) => ForecastReading::exact(500.0 * $i, 0.02 + 0.025 * $i, 0.005), range(2, 9));
    $rate = ChainRate::of(new WearForecastInput(0.5, $readings, new WearPrior(0.02, 0.6, 0.02, 0.02), 10_000.0));
    expect([$rate->readings, $rate->overKm])
        ->toBe([8, 3500.0])
        ->and((new ChainRate(0.0, 0.0))->readings)
        ->toBe(0);
});
