<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotCalibrate;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\WaxProperties;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @param array<string, mixed> $with @return array<string, mixed> */
function heat(array $with = []): array
{
    return (new PotHeat())->compute(
        Fields::fromJson(
            (string) json_encode(
                $with + ['wax_g' => 500, 'start_c' => 20, 'ambient_c' => 20, 'power_w' => 120, 'loss_w_per_k' => 1.3, 'target_c' => 85],
            ),
        ),
    );
}

/** @param array<string, mixed> $with @return array<string, mixed> */
function calibrate(array $with): array
{
    return (new PotCalibrate())->compute(
        Fields::fromJson((string) json_encode($with + ['wax_g' => 500, 'start_c' => 20, 'ambient_c' => 20, 'power_w' => 120])),
    );
}

/** @return array<string, array{array<string, float>, float|null, float|null}> */
function integrated(): array
{
    return json_decode((string) file_get_contents(__DIR__ . '/data/heat.json'), true);
}

it('agrees with a numerical integration of the same law (scipy solve_ivp; heat.py)', function (
    array $pot,
    ?float $toLiquid,
    ?float $toTarget,
): void {
    $result = heat(['step_min' => 60] + $pot);
    foreach (['minutes_to_liquid' => $toLiquid, 'minutes_to_target' => $toTarget] as $name => $expected) {
        $expected === null
            ? expect($result[$name])->toBeNull()
            : expect($result[$name])->toEqualWithDelta($expected, 1e-6 * max(1.0, $expected));
    }
})->with(integrated());

it('keeps the analytic limits', function (): void {
    // No loss: straight lines, minutes by hand from m·c·ΔT ÷ P.
    $line = heat(['loss_w_per_k' => 0, 'vessel_j_per_k' => 0]);
    $toRange = (500 * 2.1 * 32) / 120 / 60;
    $through = (500 * 2.15 * 6 + 500 * 200) / 120 / 60;
    expect($line['equilibrium_c'])
        ->toBeNull()
        ->and($line['minutes_to_liquid'])
        ->toEqualWithDelta($toRange + $through, 1e-9)
        ->and($line['minutes_to_target'])
        ->toEqualWithDelta($toRange + $through + (500 * 2.2 * 27) / 120 / 60, 1e-9)
        // Hardly any loss is hardly different.
        ->and(heat(['loss_w_per_k' => 1e-12, 'vessel_j_per_k' => 0])['minutes_to_target'])
        ->toEqualWithDelta($line['minutes_to_target'], 1e-6);
    // The plateau of a sharp melting point lasts m·L ÷ P.
    $sharp = fn(float $latent) => heat([
        'loss_w_per_k' => 0,
        'vessel_j_per_k' => 0,
        'wax' => ['latent_j_per_g' => $latent, 'melt_from_c' => 57.999999, 'melt_to_c' => 58],
    ])['minutes_to_liquid'];
    expect($sharp(200.0) - $sharp(1e-9))->toEqualWithDelta((500 * 200) / 120 / 60, 1e-6);
    // No power: Newton's law of cooling above the range, T = Ta + (T0 − Ta)·e^(−U t / C).
    $cooling = heat(['power_w' => 0, 'start_c' => 90, 'target_c' => 58, 'step_min' => 5]);
    $tauMin = (500 * 2.2 + 1400) / 1.3 / 60;
    expect($cooling['minutes_to_target'])
        ->toEqualWithDelta($tauMin * log(70 / 38), 1e-9)
        ->and($cooling['curve'][2]['temp_c'])
        ->toEqualWithDelta(20 + 70 * exp(-10 / $tauMin), 1e-9)
        ->and($cooling['equilibrium_c'])
        ->toBe(20.0);
});

it('says 0 where it is there already, null where it never comes, and draws the way', function (): void {
    expect(heat(['start_c' => 85])['minutes_to_target'])
        ->toBe(0.0)
        ->and(heat(['start_c' => 58])['minutes_to_liquid'])
        ->toBe(0.0)
        // The equilibrium lies at 112.3 °C: it is never passed, nor reached.
        ->and(heat(['target_c' => 113])['minutes_to_target'])
        ->toBeNull()
        ->and(heat(['target_c' => 20 + 120 / 1.3])['minutes_to_target'])
        ->toBeNull()
        ->and(heat(['target_c' => 112])['minutes_to_target'])
        ->toBeGreaterThan(100)
        // Warming never leads down, standing still nowhere.
        ->and(heat(['target_c' => 10])['minutes_to_target'])
        ->toBeNull()
        ->and(heat(['power_w' => 0])['minutes_to_target'])
        ->toBeNull();
    $way = heat(['step_min' => 0.5])['curve'];
    $never = heat(['power_w' => 30, 'step_min' => 50])['curve'];
    expect($way[0])
        ->toBe(['min' => 0.0, 'temp_c' => 20.0, 'liquid_fraction' => 0.0])
        ->and($way[count($way) - 1]['min'])
        ->toBe(61.5)
        ->and($way[count($way) - 2]['temp_c'])
        ->toBeLessThan(85)
        ->and(array_column($never, 'min'))
        ->toBe(array_map(fn(int $i) => 50.0 * $i, range(0, 12)));
    // The curve is the law run forward, the times are the law solved for time: they meet.
    $course = (new PotHeatInput(500, 20, 20, 120, 1.3, 85))->course();
    foreach ([30.0, 52.0, 55.0, 58.0, 70.0, 100.0] as $celsius) {
        expect($course->after(20.0, (float) $course->secondsTo(20.0, $celsius)))->toEqualWithDelta($celsius, 1e-9);
    }
});

it('finds efficiency and loss of a pot from its own curve within 1 %, and from a noisy one nearly', function (
    float $efficiency,
    float $loss,
    float $waxG,
): void {
    $curve = heat(['efficiency' => $efficiency, 'loss_w_per_k' => $loss, 'wax_g' => $waxG, 'target_c' => 500, 'step_min' => 10])['curve'];
    $observed = array_map(fn(array $point) => ['min' => $point['min'], 'temp_c' => $point['temp_c']], array_slice($curve, 1, 14));
    $found = calibrate(['wax_g' => $waxG, 'observed' => $observed]);
    expect($found['efficiency'])
        ->toEqualWithDelta($efficiency, 0.01 * $efficiency)
        ->and($found['loss_w_per_k'])
        ->toEqualWithDelta($loss, 0.01 * max($loss, 0.05))
        ->and($found['rms_c'])
        ->toBeLessThan(0.01);
    $dice = new Randomizer(new Mt19937(3));
    $noisy = array_map(fn(array $at) => ['temp_c' => $at['temp_c'] + $dice->getInt(-100, 100) / 250] + $at, $observed);
    $nearly = calibrate(['wax_g' => $waxG, 'observed' => $noisy]);
    expect($nearly['efficiency'])
        ->toBeGreaterThan(0)
        ->toBeLessThanOrEqual(1)
        ->and($nearly['loss_w_per_k'])
        ->toBeGreaterThanOrEqual(0)
        ->and($nearly['rms_c'])
        ->toBeLessThan(0.4);
})->with([
    'a good pot' => [0.95, 1.1, 500.0],
    'all of it' => [1.0, 1.3, 400.0],
    'a poor one' => [0.55, 0.8, 300.0],
    'no loss' => [0.7, 0.0, 900.0],
    'much loss' => [0.9, 2.4, 250.0],
]);

it('says what cannot be, and where', function (Closure $compute, string $path): void {
    expect($compute)->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'no wax' => [fn() => heat(['wax_g' => 0]), 'wax_g'],
    'more than all the power' => [fn() => heat(['efficiency' => 1.01]), 'efficiency'],
    'a pot that makes heat' => [fn() => heat(['loss_w_per_k' => -1]), 'loss_w_per_k'],
    'colder than cold' => [fn() => heat(['ambient_c' => -274]), 'ambient_c'],
    'no step' => [fn() => heat(['step_min' => 0]), 'step_min'],
    'a curve without end' => [fn() => heat(['step_min' => 0.000001]), 'step_min'],
    'a long way in small steps' => [fn() => heat(['wax_g' => 5e6, 'step_min' => 0.01]), 'step_min'],
    'melts backwards' => [fn() => heat(['wax' => ['melt_from_c' => 60]]), 'wax.melt_to_c'],
    'a misspelt property' => [fn() => heat(['wax' => ['latent' => 200]]), 'wax.latent'],
    'two readings' => [fn() => calibrate(['observed' => [['min' => 1, 'temp_c' => 21], ['min' => 2, 'temp_c' => 22]]]), 'observed'],
    'no power' => [fn() => calibrate(['power_w' => 0, 'observed' => array_fill(0, 3, ['min' => 1, 'temp_c' => 21])]), 'power_w'],
    'given what is to be found' => [
        fn() => calibrate(['loss_w_per_k' => 1, 'observed' => array_fill(0, 3, ['min' => 1, 'temp_c' => 21])]),
        'loss_w_per_k',
    ],
    'before the start' => [fn() => calibrate(['observed' => [['min' => -1, 'temp_c' => 21]]]), 'observed.0.min'],
]);

it('knows the parts of the melting range', function (): void {
    $wax = new WaxProperties();
    expect([
        $wax->liquidFraction(40),
        $wax->liquidFraction(52),
        $wax->liquidFraction(55),
        $wax->liquidFraction(58),
        $wax->liquidFraction(90),
    ])->toBe([0.0, 0.0, 0.5, 1.0, 1.0]);
});
