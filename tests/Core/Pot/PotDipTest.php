<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotDip;
use Dripel\Core\Pot\WaxProperties;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Pot\Held;

/** @param array<string, mixed> $with @return array<string, mixed> */
function dipped(array $with = []): array
{
    return (new PotDip())->compute(
        Fields::fromJson((string) json_encode($with + ['wax_g' => 420, 'bath_c' => 85, 'chains' => [['mass_g' => 254, 'temp_c' => 20]]])),
    );
}

it('finds the mixed temperature and the recovery by hand', function (): void {
    $result = dipped(['power_w' => 150, 'loss_w_per_k' => 1.2]);
    // Steel 254 · 0.49 = 124.46 J/K against 420 · 2.2 + 1400 = 2324 J/K, all of it above the range.
    $mixed = (2324 * 85 + 124.46 * 20) / (2324 + 124.46);
    $net = fn(float $c) => 150 - 1.2 * ($c - 20);
    expect($result['mixed_c'])
        ->toEqualWithDelta($mixed, 1e-9)
        ->and($result['frozen_g'])
        ->toBe(0.0)
        ->and($result['bath_stays_liquid'])
        ->toBeTrue()
        ->and($result['recover_minutes'])
        ->toEqualWithDelta((((2324 + 124.46) / 1.2) * log($net($mixed) / $net(84))) / 60, 1e-9)
        // τ = 0.49 / (200 · 230e-6) = 10.65 s; ln(65 / 1) times that: three quarters of a minute.
        ->and($result['chain_seconds'])
        ->toEqualWithDelta((0.49 / 0.046) * log(65), 1e-9)
        ->and($result['soak_minutes'])
        ->toEqualWithDelta($result['chain_seconds'] / 60 + $result['recover_minutes'], 1e-12)
        // Too weak to come back: the soak is what the chain takes.
        ->and(dipped()['recover_minutes'])
        ->toBeNull()
        ->and(dipped()['soak_minutes'])
        ->toEqualWithDelta($result['chain_seconds'] / 60, 1e-12);
});

it('cools as a lumped body does in textbooks (Incropera & DeWitt, ch. 5, example of a thermocouple junction; memory)', function (): void {
    // A junction of k ρ c = 8500 kg/m³ and 400 J/(kg·K), 0.706 mm across, h = 400 W/(m²·K), from 25 to 199 °C in gas at 200 °C: 5.2 s.
    $diameterM = 7.06e-4;
    $areaMm2PerG = ((6 / ($diameterM * 8500)) * 1e6) / 1000;
    $seconds = dipped([
        'bath_c' => 200,
        'chains' => [['mass_g' => 1, 'temp_c' => 25]],
        'steel_j_per_gk' => 0.4,
        'chain_area_mm2_per_g' => $areaMm2PerG,
        'film_w_per_m2k' => 400,
    ])['chain_seconds'];
    expect($seconds)->toEqualWithDelta(5.2, 0.05);
});

it('shows what practice knows: a cold chain carries a frozen skin, a couple of minutes bring it to bath temperature', function (): void {
    // Common practice. One chain in a small bath hardly above the range freezes some of it; three cold ones in winter more.
    $one = dipped(['wax_g' => 120, 'bath_c' => 60, 'vessel_j_per_k' => 300, 'chains' => [['mass_g' => 254, 'temp_c' => 5]]]);
    $three = dipped([
        'wax_g' => 120,
        'bath_c' => 60,
        'vessel_j_per_k' => 300,
        'chains' => array_fill(0, 3, ['mass_g' => 254, 'temp_c' => 5]),
    ]);
    expect($one['bath_stays_liquid'])
        ->toBeFalse()
        ->and($one['frozen_g'])
        ->toBeGreaterThan(10)
        ->toBeLessThan(120)
        ->and($three['frozen_g'])
        ->toBeGreaterThan($one['frozen_g'])
        ->and(dipped()['chain_seconds'])
        ->toBeLessThan(120)
        // Warm or hot, it does not have to wait.
        ->and(dipped(['chains' => [['mass_g' => 254, 'temp_c' => 84.5]]])['chain_seconds'])
        ->toBe(0.0)
        ->and(dipped(['chains' => [['mass_g' => 254, 'temp_c' => 120]]])['mixed_c'])
        ->toBeGreaterThan(85)
        ->and(dipped(['chains' => [['mass_g' => 254, 'temp_c' => 120]]])['recover_minutes'])
        ->toBe(0.0);
});

it('loses no heat between bath and chains, whatever they are', function (): void {
    $dice = new Randomizer(new Mt19937(11));
    $between = fn(float $low, float $high) => $low + (($high - $low) * $dice->getInt(0, 1_000_000)) / 1_000_000;
    $frozen = 0;
    for ($try = 0; $try < 500; $try++) {
        [$waxG, $vessel, $bathC] = [$between(30, 900), $between(0, 2500), $between(58, 110)];
        $chains = array_map(fn() => ['mass_g' => $between(200, 450), 'temp_c' => $between(-20, 110)], range(1, $dice->getInt(1, 5)));
        $result = dipped(['wax_g' => $waxG, 'vessel_j_per_k' => $vessel, 'bath_c' => $bathC, 'chains' => $chains]);
        $wax = new WaxProperties();
        $before =
            Held::joule($bathC, $waxG, $vessel, $wax) +
            array_sum(array_map(fn(array $chain) => $chain['mass_g'] * 0.49 * $chain['temp_c'], $chains));
        $steel = array_sum(array_map(fn(array $chain) => $chain['mass_g'] * 0.49, $chains));
        expect(Held::joule($result['mixed_c'], $waxG, $vessel + $steel, $wax))
            ->toEqualWithDelta($before, 1e-6 * abs($before) + 1e-6)
            ->and($result['frozen_g'])
            ->toEqualWithDelta((1 - $wax->liquidFraction($result['mixed_c'])) * $waxG, 1e-9);
        $frozen += $result['frozen_g'] > 0 ? 1 : 0;
    }
    expect($frozen)->toBeGreaterThan(20)->toBeLessThan(480);
});

it('says what cannot be, and where', function (array $with, string $path): void {
    expect(fn() => dipped($with))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'a bath that is not molten' => [['bath_c' => 57.9], 'bath_c'],
    'no chain' => [['chains' => []], 'chains'],
    'a chain of nothing' => [['chains' => [['mass_g' => 0, 'temp_c' => 20]]], 'chains.0.mass_g'],
    'within nothing' => [['within_c' => 0], 'within_c'],
    'no surface' => [['chain_area_mm2_per_g' => 0], 'chain_area_mm2_per_g'],
    'a misspelt field' => [['film' => 200], 'film'],
]);
