<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Models;

/** Every model's worked example in docs/models.md, worked out by the model itself: what is bold there is what comes out. */
it('works out the worked example of each model as its documentation has it', function (string $model, string $input, Closure $bold): void {
    $docs = (string) file_get_contents(base_path('docs/models.md'));
    preg_match('/^## ' . preg_quote($model, '/') . '\n(.*?)(?=^## |\z)/ms', $docs, $section);
    preg_match('/^- Example:(.*?)(?=^- |^## |\z)/ms', $section[1] ?? '', $example);
    preg_match_all('/\*\*(.+?)\*\*/s', $example[1] ?? '', $written);
    $result = (new (Models::ALL[$model])())->compute(Fields::fromJson($input));
    expect($written[1])
        ->toBe((array) $bold($result))
        // Each section names its source, or says that it is practice or a house rule.
        ->and($section[1])
        ->toMatch('/Source|practice|house rule/i');
})->with([
    'wax.life' => [
        'wax.life',
        '{"interval_km":300,"interval_hours":null,"rides":[{"km":100,"hours":4,"condition":"dry"},{"km":60,"hours":2,"condition":"damp"}]}',
        fn(array $r) => sprintf('%.0f km', $r['left_km']),
    ],
    'wear.reading' => [
        'wear.reading',
        '{"kind":"ruler","pitches":46,"length_mm":585.4}',
        fn(array $r) => sprintf('%.2f %%', $r['value_pct']),
    ],
    'wear.forecast' => [
        'wear.forecast',
        '{"limit_pct":0.5,"readings":[{"km":500,"value_pct":0.05,"sigma_pct":0.04},{"km":1500,"value_pct":0.14,"sigma_pct":0.04},{"km":3000,"value_pct":0.27,"sigma_pct":0.04}],"prior":{"rate_pct_per_1000km":{"median":0.08,"log_sd":0.5},"initial_pct":{"mean":0.02,"sd":0.02}},"now_km":3200}',
        fn(array $r) => [
            sprintf('%.3f %%', $r['now_pct']['mean']),
            number_format($r['km_to_limit']['p50']) . ' km',
            number_format($r['next_measurement_km']) . ' km',
        ],
    ],
    'interval.advise' => [
        'interval.advise',
        '{"cap_km":400,"learned_km":320,"target_life_km":12000,"life_factor":0.7}',
        fn(array $r) => [sprintf('%.0f km', $r['interval_km']), $r['because']],
    ],
    'interval.learn' => [
        'interval.learn',
        '{"cycles":[{"km":320,"ended":"noise"},{"km":280,"ended":"noise"},{"km":300,"ended":"pulled"}],"prior":{"median_km":300,"log_sd":0.4,"shape_median":3,"shape_log_sd":0.3}}',
        fn(array $r) => [sprintf('%.0f km', $r['interval_km']), sprintf('%.0f km', $r['median_km'])],
    ],
    'interval.economy' => [
        'interval.economy',
        '{"chain_cost":30,"quick_link_cost":5,"cassette_cost":60,"rewax_cost":0.5,"minutes_per_rewax":30,"hour_value":10,"min_km":100,"max_km":500,"step_km":100}',
        fn(array $r) => [sprintf('%.0f km', $r['best']['interval_km']), sprintf('%.2f', $r['best']['cost_per_1000km'])],
    ],
    'plan.pot_days' => [
        'plan.pot_days',
        '{"days":7,"allowed_days":[true,false,false,true,true,false,false],"fixed_minutes":40,"per_dip_minutes":5,"batch_minutes":20,"pot_capacity":4,"swap_minutes":3,"topup":null,"bikes":[{"id":"heron","interval_km":300,"daily_km":[80,0,80,0,0,150,80],"chains":[{"id":"A","used_km":200},{"id":"B","used_km":100}],"on_bike":"A"}]}',
        fn(array $r) => [sprintf('%.0f minutes', $r['total_minutes']), "day {$r['pot_days'][0]['day']}"],
    ],
    'plan.risk' => [
        'plan.risk',
        '{"plan":{"days":7,"allowed_days":[true,true,true,true,true,true,true],"fixed_minutes":45,"per_dip_minutes":4,"bikes":[{"id":"heron","interval_km":300,"daily_km":[0,0,40,0,0,90,70],"chains":[{"id":"A","used_km":120}],"on_bike":"A"}]},"pot_days":[],"weeks":{"heron":[[0,0,40,0,0,90,0],[0,0,40,0,0,60,70],[0,0,0,0,0,130,90],[0,0,30,0,0,70,60]]},"start_weekday":0}',
        fn(array $r) => sprintf('%.0f of 100', 100 * $r['all_waxed']),
    ],
    'factors.learn' => [
        'factors.learn',
        '{"cycles":[{"km":{"dry":300},"last":"dry","ended":"noise"},{"km":{"dry":300},"last":"dry","ended":"noise"},{"km":{"dry":300},"last":"dry","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"},{"km":{"wet":60},"last":"wet","ended":"noise"}],"prior":{"median_km":300,"log_sd":0.5,"shape_median":3,"shape_log_sd":0.4}}',
        fn(array $r) => [
            sprintf('%.2f', $r['factors']['wet']['factor']),
            sprintf('%.2f', $r['factors']['wet']['p10']),
            sprintf('%.2f', $r['factors']['wet']['p90']),
        ],
    ],
    'plan.simulate' => [
        'plan.simulate',
        '{"weeks":52,"bikes":[{"id":"heron","week_km":[0,0,0,0,0,100,0],"limit_pct":0.5,"rate_pct_per_1000km":0.05,"rate_interval_km":300,"chains":[{"id":"A","wear_pct":0,"used_km":0},{"id":"B","wear_pct":0,"used_km":0}],"on_bike":"A"}],"policy":{"interval_km":300},"pot":{"weekdays":[false,false,false,false,false,true,true],"fixed_minutes":45,"per_dip_minutes":4,"vessel":{"diameter_mm":130,"height_mm":105},"wax_g":500},"costs":{"chain":30}}',
        fn(array $r) => [number_format($r['totals']['km']) . ' km', "{$r['totals']['pot_days']} pot days"],
    ],
    'drip.dose' => [
        'drip.dose',
        '{"pitches":116,"bottle_ml":120,"applied_at":"2026-11-25T20:00:00Z"}',
        fn(array $r) => [sprintf('%.1f ml', $r['ml']), (string) $r['applications_left']],
    ],
    'bare.clock' => [
        'bare.clock',
        '{"stripped_at":"2026-11-25T07:40:00Z","now":"2026-11-25T12:20:00Z"}',
        fn(array $r) => sprintf('%d h %02d', floor($r['hours_left']), round(60 * fmod($r['hours_left'], 1))),
    ],
    'chain.length' => [
        'chain.length',
        '{"chainstay_mm":410,"front_teeth":50,"rear_teeth":28,"derailleur":true}',
        fn(array $r) => (string) $r['pitches'],
    ],
    'chain.match' => [
        'chain.match',
        '{"old_pitches":114,"old_joint":"pin","new_joint":"quick_link"}',
        fn(array $r) => "cut to {$r['cut_to_pitches']}",
    ],
    'strip.rinse' => ['strip.rinse', '{"volume_ml":200,"washes":5}', fn(array $r) => sprintf('%.5f g', $r['left_g'])],
    'strip.cascade' => [
        'strip.cascade',
        '{"dirty_ml":300,"clean_ml":300,"load_g":8,"chains":3,"limit_g":0.1}',
        fn(array $r) => "{$r['chains_within_limit']} chains",
    ],
    'solvent.hazard' => ['solvent.hazard', '{"flash_c":39,"boiling_c":154}', fn(array $r) => "category {$r['ghs_category']}"],
    'pot.heat' => [
        'pot.heat',
        '{"wax_g":500,"start_c":20,"ambient_c":20,"power_w":120,"loss_w_per_k":1.3,"target_c":85}',
        fn(array $r) => [sprintf('%.1f min', $r['minutes_to_liquid']), sprintf('%.1f min', $r['minutes_to_target'])],
    ],
    'pot.calibrate' => [
        'pot.calibrate',
        '{"wax_g":500,"start_c":20,"ambient_c":20,"power_w":120,"observed":[{"min":10,"temp_c":43.6},{"min":20,"temp_c":53.1},{"min":40,"temp_c":57.0},{"min":60,"temp_c":74.0},{"min":70,"temp_c":80.9}]}',
        fn(array $r) => [sprintf('%.0f %%', 100 * $r['efficiency']), sprintf('%.2f W/K', $r['loss_w_per_k'])],
    ],
    'pot.dip' => [
        'pot.dip',
        '{"wax_g":420,"bath_c":85,"chains":[{"mass_g":254,"temp_c":20}]}',
        fn(array $r) => [sprintf('%.1f °C', $r['mixed_c']), sprintf('%.0f s', $r['chain_seconds'])],
    ],
    'bath.ledger' => [
        'bath.ledger',
        '{"vessel":{"diameter_mm":120,"height_mm":90},"events":[{"at":"2026-11-25T12:00:00Z","kind":"fill","wax_g":420}]}',
        fn(array $r) => [sprintf('%.1f mm', $r['depth_mm']), "{$r['dips_left']} dips"],
    ],
]);

it('documents every model', function (): void {
    $docs = (string) file_get_contents(base_path('docs/models.md'));
    foreach (array_keys(Models::ALL) as $model) {
        expect(str_contains($docs, "## {$model}\n"))->toBeTrue($model);
    }
});
