<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\AdviseBecause;
use Dripel\Core\Interval\BikeAdvice;
use Dripel\Core\Interval\IntervalAdvise;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Logbook\Terms;
use Dripel\Core\Wear\BikeWear;
use Dripel\Core\Wear\ChainForecast;
use Dripel\Core\Wear\ChainRate;
use Dripel\Core\Wear\ChainReadings;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WearPrior;
use Dripel\Core\Wear\WearVerdict;

/** @return array<string, mixed> */
function advise(array $with = []): array
{
    return (new IntervalAdvise())->compute(
        Fields::fromJson(
            (string) json_encode($with + ['cap_km' => 400, 'learned_km' => null, 'target_life_km' => null, 'life_factor' => 1]),
        ),
    );
}

it('takes the smallest of cap, ear and wear, the first of them where two are the same', function (
    array $with,
    float $km,
    string $because,
): void {
    $result = advise($with);
    expect($result['interval_km'])->toEqualWithDelta($km, 1e-6)->and($result['because'])->toBe($because);
})->with([
    'nothing but the cap' => [[], 400, 'cap'],
    'it gets loud before' => [['learned_km' => 260], 260, 'noise'],
    'loud only later' => [['learned_km' => 500], 400, 'cap'],
    'loud just then' => [['learned_km' => 400 - 1e-10], 400, 'cap'],
    // A point of the curve itself.
    'a life of 15,000 km' => [['target_life_km' => 15000], 300, 'wear'],
    // By hand: half-way between 200 and 300 in the logarithms, √(200 · 300) km for √(25,000 · 15,000) km.
    'between two points' => [['target_life_km' => 19364.916731037084], 244.9489742783178, 'wear'],
    // It lives twice as long as the curve says: 30,000 km are 15,000 of the curve.
    'a chain that lasts' => [['target_life_km' => 30000, 'life_factor' => 2], 300, 'wear'],
    'beyond the last point, on its slope' => [
        ['cap_km' => 1000, 'target_life_km' => 9000 * (600 / 400) ** (log(9000 / 15000) / log(400 / 300))],
        600,
        'wear',
    ],
    'ear and wear the same' => [['learned_km' => 300, 'target_life_km' => 15000], 300, 'noise'],
]);

it('has life and interval as each other’s inverse, falling, everywhere', function (): void {
    $curve = LifeCurve::usual();
    $before = INF;
    foreach ([80, 150, 200, 230, 300, 333, 400, 700] as $km) {
        expect($curve->intervalKm($curve->lifeKm($km)))->toEqualWithDelta($km, 1e-9)->and($curve->lifeKm($km))->toBeLessThan($before);
        $before = $curve->lifeKm($km);
    }
    // 0.5 % at 0.05 % per 1000 km is 10,000 km; expected at 300 km: 15,000.
    expect(IntervalAdvise::lifeFactor(0.5, 0.05, 300, $curve))->toEqualWithDelta(10 / 15, 1e-12);
});

it('refuses what cannot be', function (array $with, string $path): void {
    try {
        advise($with);
        $found = 'nothing';
    } catch (InvalidInput $e) {
        $found = $e->path;
    }
    expect($found)->toBe($path);
})->with([
    'no cap' => [['cap_km' => 0], 'cap_km'],
    'no factor' => [['life_factor' => 0], 'life_factor'],
    'a life below 0' => [['target_life_km' => -1], 'target_life_km'],
    'one point' => [['life_points' => [['interval_km' => 200, 'life_km' => 25000]]], 'life_points'],
    'twice the same' => [
        ['life_points' => [['interval_km' => 200, 'life_km' => 25000], ['interval_km' => 200, 'life_km' => 20000]]],
        'life_points',
    ],
    'rising' => [
        ['life_points' => [['interval_km' => 200, 'life_km' => 15000], ['interval_km' => 300, 'life_km' => 20000]]],
        'life_points',
    ],
    'a point of nothing' => [
        ['life_points' => [['interval_km' => 200, 'life_km' => 0], ['interval_km' => 300, 'life_km' => 20000]]],
        'life_points.0.life_km',
    ],
    'misspelt' => [['caps' => 1], 'caps'],
]);

/** One chain waxed every 300 km that wears so many times as fast as the curve expects, read so often over 1,600 km. */
function wearsTimes(float $times, int $readings = 3, int $chains = 1): BikeWear
{
    $ratePct = ($times * 1000.0 * 0.5) / LifeCurve::usual()->lifeKm(300.0);
    $forecast = new ChainForecast(
        fn() => new ChainReadings(0.5, [], new WearPrior($ratePct, 0.5, 0.02, 0.02), 3000.0),
        0.5,
        3000.0,
        300.0,
        new WearForecastResult($ratePct, $ratePct, $ratePct, $ratePct, 0.02, 0.1, 0.1, 0.1, null, null, null, 0.0, null, WearVerdict::Keep),
    );

    return BikeWear::of(
        array_fill(0, max(1, $chains), $forecast),
        array_fill(0, $chains, new ChainRate(log($times), 50.0, $readings, 1600.0)),
        LifeCurve::usual(),
        new Terms(300.0, null, 0.5),
    );
}

it('advises a bike by how its own chains wear', function (float $times, ?float $targetKm, float $intervalKm, AdviseBecause $because): void {
    $advice = BikeAdvice::of(wearsTimes($times), LifeCurve::usual(), $targetKm);
    expect($advice?->intervalKm)
        ->toEqualWithDelta($intervalKm, 0.01)
        ->and($advice?->result->because)
        ->toBe($because)
        ->and($advice?->is($intervalKm * 1.04))
        ->toBeTrue()
        ->and($advice?->is($intervalKm * 1.06))
        ->toBeFalse()
        ->and($advice?->is(null))
        ->toBeFalse()
        ->and($advice?->outside())
        ->toBe($intervalKm < 200.0)
        ->and($advice?->floored())
        ->toBe($intervalKm === 100.0);
})->with([
    // Twice as fast: to live 12,500 km it is waxed as if it should live 25,000.
    'fast' => [2.0, 12_500.0, 200.0, AdviseBecause::Wear],
    'as expected, the middle school’s life' => [1.0, null, 300.0, AdviseBecause::Wear],
    'far too fast: no pot is heated so often' => [8.0, null, 100.0, AdviseBecause::Wear],
    'slow: no longer than the long school' => [0.5, null, 400.0, AdviseBecause::Cap],
]);

it('advises by wear only on evidence: two measured chains, or one with three readings over 1,500 km', function (): void {
    $curve = LifeCurve::usual();
    expect(BikeAdvice::of(wearsTimes(2.0, chains: 0), $curve, null))
        ->toBeNull()
        ->and(BikeAdvice::of(wearsTimes(2.0, readings: 2), $curve, null))
        ->toBeNull()
        ->and(BikeAdvice::of(wearsTimes(2.0, readings: 3), $curve, null))
        ->not->toBeNull()
        ->and(BikeAdvice::of(wearsTimes(2.0, readings: 1, chains: 2), $curve, null))
        ->not->toBeNull();
});

it('keeps the curve that a rider writes', function (): void {
    expect(LifeCurve::ofPairs([[300, 15000], [200, 25000]])->pairs())
        ->toBe([[200.0, 25000.0], [300.0, 15000.0]])
        ->and(fn() => LifeCurve::ofPairs([[300]]))
        ->toThrow(InvalidInput::class);
});
