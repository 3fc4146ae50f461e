<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;
use Dripel\Core\Models;

// The bounds and the defaults of the contract, field by field: just within is taken, just beyond is refused where it stands, and what is
// left out is what the contract says.

const SOUND = [
    'pot.heat' => ['wax_g' => 500, 'start_c' => 20, 'ambient_c' => 20, 'power_w' => 200, 'loss_w_per_k' => 1, 'target_c' => 80],
    'pot.dip' => ['wax_g' => 500, 'bath_c' => 90, 'chains' => [['mass_g' => 250, 'temp_c' => 20]]],
    'pot.calibrate' => [
        'wax_g' => 500,
        'start_c' => 20,
        'ambient_c' => 20,
        'power_w' => 200,
        'observed' => [['min' => 5, 'temp_c' => 40], ['min' => 10, 'temp_c' => 52], ['min' => 20, 'temp_c' => 66]],
    ],
    'bath.ledger' => [
        'vessel' => ['diameter_mm' => 160, 'height_mm' => 100],
        'events' => [
            ['at' => '2026-01-01T10:00:00Z', 'kind' => 'fill', 'wax_g' => 600],
            [
                'at' => '2026-01-02T10:00:00Z',
                'kind' => 'dip',
                'chains' => [['mass_g' => 250, 'pickup_g' => null, 'effective_km' => 300, 'rinsed' => false]],
            ],
            ['at' => '2026-01-03T10:00:00Z', 'kind' => 'filter'],
            ['at' => '2026-01-03T11:00:00Z', 'kind' => 'reading', 'temp_c' => 80],
            ['at' => '2026-01-03T12:00:00Z', 'kind' => 'remove', 'wax_g' => 10],
            ['at' => '2026-01-03T13:00:00Z', 'kind' => 'top_up', 'wax_g' => 10],
        ],
    ],
    'interval.economy' => ['chain_cost' => 40, 'rewax_cost' => 1],
    'interval.advise' => ['cap_km' => 300, 'learned_km' => 280, 'target_life_km' => 9000, 'life_factor' => 1],
    'interval.learn' => [
        'cycles' => [['km' => 250, 'ended' => 'noise'], ['km' => 320, 'ended' => 'noise']],
        'prior' => ['median_km' => 300, 'log_sd' => 0.5, 'shape_median' => 4, 'shape_log_sd' => 0.5],
    ],
    'factors.learn' => [
        'cycles' => [['km' => ['dry' => 100, 'wet' => 50], 'last' => 'wet', 'ended' => 'noise']],
        'prior' => ['median_km' => 300, 'log_sd' => 0.5, 'shape_median' => 4, 'shape_log_sd' => 0.5],
    ],
    'wax.life' => [
        'interval_km' => 300,
        'interval_hours' => 10,
        'hours_per_km' => 0.04,
        'rides' => [['km' => 100, 'hours' => null, 'condition' => 'dry'], ['km' => 50, 'hours' => 2, 'condition' => 'wet']],
        'topups' => [['after_ride' => 0, 'km' => 60]],
    ],
    'drip.dose' => ['pitches' => 116, 'bottle_ml' => 118, 'applied_at' => '2026-01-01T10:00:00Z'],
    'strip.rinse' => ['volume_ml' => 75, 'washes' => 3],
    'strip.cascade' => ['dirty_ml' => 400, 'clean_ml' => 400, 'load_g' => 8, 'chains' => 4],
    'bare.clock' => ['stripped_at' => '2026-01-01T10:00:00Z', 'now' => '2026-01-01T20:00:00Z'],
    'solvent.hazard' => ['flash_c' => 40, 'boiling_c' => 150],
    'wear.forecast' => [
        'limit_pct' => 0.5,
        'readings' => [['km' => 1000, 'value_pct' => 0.1, 'sigma_pct' => 0.05], ['km' => 2000, 'lower_pct' => 0.05, 'upper_pct' => 0.25]],
        'prior' => ['rate_pct_per_1000km' => ['median' => 0.05, 'log_sd' => 0.5], 'initial_pct' => ['mean' => 0, 'sd' => 0.03]],
        'now_km' => 2000,
    ],
    'wear.reading' => ['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 305.4],
];

/** @return array<string, mixed> the answer to sound input in which one field is another; null takes it out */
function answer(string $model, string $path = '', mixed $value = null): array
{
    $in = SOUND[$model];
    if ($path !== '') {
        $at = &$in;
        foreach (explode('.', $path) as $key) {
            $at = &$at[$key];
        }
        $at = $value;
    }
    $class = Models::ALL[$model];
    $made = new $class();
    assert($made instanceof Model);

    return $made->compute(Fields::fromJson(json_encode($in, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)));
}

/** @param list<float|int> $refused */
function bounded(string $model, string $path, float|int $taken, array $refused): void
{
    expect(answer($model, $path, $taken))->toBeArray();
    foreach ($refused as $value) {
        $at = null;
        try {
            answer($model, $path, $value);
        } catch (InvalidInput $e) {
            $at = $e->path;
        }
        expect($at)->toBe($path, "{$path} of {$value}");
    }
}

it('takes what is just within a bound and refuses what is just beyond it', function (
    string $model,
    array $positive,
    array $notNegative = [],
    array $temperatures = [],
    array $others = [],
): void {
    foreach ($positive as $path => $little) {
        [$path, $little] = is_int($path) ? [$little, 0.001] : [$path, $little];
        bounded($model, $path, $little, [0, -1]);
    }
    foreach ($notNegative as $path) {
        bounded($model, $path, 0, [-0.001]);
    }
    foreach ($temperatures as $path) {
        bounded($model, $path, -273.15, [-273.16]);
    }
    foreach ($others as $path => [$taken, $refused]) {
        bounded($model, $path, $taken, $refused);
    }
})->with([
    'pot.heat' => [
        'pot.heat',
        ['wax_g', 'efficiency', 'step_min' => 0.01],
        ['power_w', 'loss_w_per_k', 'vessel_j_per_k'],
        ['start_c', 'ambient_c', 'target_c'],
        ['efficiency' => [1, [1.001]]],
    ],
    'pot.dip' => [
        'pot.dip',
        ['wax_g', 'chains.0.mass_g', 'steel_j_per_gk', 'chain_area_mm2_per_g', 'film_w_per_m2k', 'within_c'],
        ['vessel_j_per_k', 'power_w', 'loss_w_per_k'],
        ['chains.0.temp_c', 'ambient_c'],
        ['bath_c' => [58, [57.999]]],
    ],
    'pot.calibrate' => [
        'pot.calibrate',
        ['wax_g', 'power_w'],
        ['vessel_j_per_k', 'observed.0.min'],
        ['start_c', 'ambient_c', 'observed.0.temp_c'],
    ],
    'bath.ledger' => [
        'bath.ledger',
        [
            'vessel.diameter_mm',
            'vessel.height_mm',
            'coil_height_mm',
            'pickup_default_g',
            'grit_limit',
            'events.0.wax_g' => 30,
            'events.1.chains.0.mass_g',
            'events.4.wax_g',
            'events.5.wax_g',
        ],
        ['events.0.oil_g', 'events.5.oil_g', 'events.1.chains.0.pickup_g', 'events.1.chains.0.effective_km', 'events.2.removed_fraction'],
        ['limit_c', 'events.3.temp_c'],
        ['events.2.removed_fraction' => [1, [1.001]]],
    ],
    'interval.economy' => [
        'interval.economy',
        ['life_factor', 'chains_per_cassette', 'min_km' => 99, 'step_km' => 0.051],
        ['chain_cost', 'rewax_cost', 'strip_cost', 'quick_link_cost', 'cassette_cost', 'minutes_per_rewax', 'hour_value'],
        [],
        ['max_km' => [100, [99.9]], 'step_km' => [0.05001, [0.0499]]],
    ],
    'interval.advise' => ['interval.advise', ['cap_km', 'learned_km', 'target_life_km', 'life_factor']],
    'interval.learn' => [
        'interval.learn',
        ['cycles.0.km', 'prior.median_km', 'prior.log_sd', 'prior.shape_median', 'prior.shape_log_sd'],
        [],
        [],
        ['quantile' => [0.999, [0, 1]]],
    ],
    'factors.learn' => ['factors.learn', ['log_sd', 'prior.median_km', 'prior.log_sd', 'prior.shape_median', 'prior.shape_log_sd']],
    'wax.life' => [
        'wax.life',
        ['interval_km', 'interval_hours', 'topups.0.km'],
        ['hours_per_km', 'rides.0.km', 'rides.1.hours'],
        [],
        ['topups.0.after_ride' => [-1, [-2, 2]]],
    ],
    'drip.dose' => [
        'drip.dose',
        ['drops_per_roller', 'ml_per_drop', 'bottle_ml', 'dry_hours'],
        [],
        [],
        ['pitches' => [1, [0, 1001]], 'coats' => [100, [0, 101]]],
    ],
    'strip.rinse' => ['strip.rinse', ['volume_ml', 'start_g'], ['carry_over_ml'], [], ['washes' => [1, [0]]]],
    'strip.cascade' => ['strip.cascade', ['dirty_ml', 'clean_ml', 'load_g', 'limit_g'], ['carry_over_ml'], [], ['chains' => [1, [0]]]],
    'bare.clock' => ['bare.clock', ['limit_hours']],
    'solvent.hazard' => ['solvent.hazard', [], [], ['flash_c'], ['boiling_c' => [40, [39.99]]]],
    'wear.forecast' => [
        'wear.forecast',
        ['limit_pct', 'horizon_km', 'readings.0.sigma_pct', 'prior.rate_pct_per_1000km.median', 'prior.rate_pct_per_1000km.log_sd' => 0.01],
        ['readings.0.km'],
        [],
        ['now_km' => [2000, [1999.9]], 'readings.1.upper_pct' => [0.06, [0.05]], 'prior.initial_pct.sd' => [0.01, [0]]],
    ],
    'wear.reading' => ['wear.reading', ['length_mm', 'uncertainty_mm'], [], [], ['pitches' => [1, [0]]]],
]);

it('takes what is left out for what the contract says', function (string $model, array $defaults): void {
    $left = answer($model);
    foreach ($defaults as $path => $value) {
        expect(answer($model, $path, $value))->toBe($left, "{$path} as said");
    }
})->with([
    'pot.heat' => ['pot.heat', ['efficiency' => 1, 'vessel_j_per_k' => 1400, 'step_min' => 1]],
    'pot.dip' => [
        'pot.dip',
        [
            'steel_j_per_gk' => 0.49,
            'vessel_j_per_k' => 1400,
            'chain_area_mm2_per_g' => 230,
            'film_w_per_m2k' => 200,
            'power_w' => 0,
            'loss_w_per_k' => 0,
            'ambient_c' => 20,
            'within_c' => 1,
        ],
    ],
    'pot.calibrate' => ['pot.calibrate', ['vessel_j_per_k' => 1400]],
    'bath.ledger' => [
        'bath.ledger',
        [
            'limit_c' => 100,
            'coil_height_mm' => 30,
            'pickup_default_g' => 6,
            'grit_limit' => 4,
            'events.0.oil_g' => 0,
            'events.5.oil_g' => 0,
            'events.2.removed_fraction' => 0.7,
        ],
    ],
    'interval.economy' => [
        'interval.economy',
        [
            'life_factor' => 1,
            'strip_cost' => 0,
            'quick_link_cost' => 0,
            'cassette_cost' => 0,
            'chains_per_cassette' => 4,
            'minutes_per_rewax' => 0,
            'hour_value' => 0,
            'min_km' => 100,
            'max_km' => 600,
            'step_km' => 5,
            'life_points' => [
                ['interval_km' => 200, 'life_km' => 25000],
                ['interval_km' => 300, 'life_km' => 15000],
                ['interval_km' => 400, 'life_km' => 9000],
            ],
        ],
    ],
    'interval.learn' => ['interval.learn', ['quantile' => 0.2]],
    'factors.learn' => [
        'factors.learn',
        ['log_sd' => 0.5, 'factors' => ['indoor' => 0.8, 'dry' => 1, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5]],
    ],
    'wax.life' => ['wax.life', ['factors' => ['indoor' => 0.8, 'dry' => 1, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5]]],
    'drip.dose' => ['drip.dose', ['drops_per_roller' => 1, 'coats' => 1, 'ml_per_drop' => 0.05, 'dry_hours' => 10]],
    'strip.rinse' => ['strip.rinse', ['carry_over_ml' => 15, 'start_g' => 8]],
    'strip.cascade' => ['strip.cascade', ['carry_over_ml' => 15]],
    'bare.clock' => ['bare.clock', ['limit_hours' => 12]],
    'wear.reading' => ['wear.reading', ['uncertainty_mm' => 0.25]],
]);
