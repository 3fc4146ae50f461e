<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Plan\Simulate;
use Dripel\Core\Plan\SimulatedCosts;
use Dripel\Core\Plan\SimulatedWeek;
use Dripel\Core\Plan\SimulateInput;
use Dripel\Core\Plan\SimulateResult;

/** @return array{totals: array<string, mixed>, weeks: list<array<string, mixed>>} what years of it come to */
function simulated(array $policy = [], int $weeks = 104, array $pot = [], array $costs = [], array $bike = []): array
{
    return (new Simulate())->compute(twoBikes($policy, $weeks, $pot, $costs, $bike));
}

/** Two bikes for so many weeks, with something else than usual. */
function twoBikes(array $policy = [], int $weeks = 104, array $pot = [], array $costs = [], array $bike = []): Fields
{
    $chain = fn(string $id, float $wear) => ['id' => $id, 'wear_pct' => $wear, 'used_km' => 0];

    return Fields::fromJson(
        (string) json_encode([
            'weeks' => $weeks,
            'bikes' => [
                $bike + [
                    'id' => 'heron',
                    'week_km' => [0, 0, 36, 0, 0, 50, 74],
                    'limit_pct' => 0.5,
                    'rate_pct_per_1000km' => 0.05,
                    'rate_interval_km' => 300,
                    'chains' => [$chain('A', 0.1), $chain('B', 0.2), $chain('C', 0.3)],
                    'on_bike' => 'A',
                ],
                [
                    'id' => 'badger',
                    'week_km' => [0, 26, 0, 0, 0, 44, 0],
                    'factor' => 1.4,
                    'limit_pct' => 0.5,
                    'rate_pct_per_1000km' => 0.08,
                    'rate_interval_km' => 300,
                    'chains' => [$chain('D', 0.05), $chain('E', 0.4)],
                    'on_bike' => 'D',
                ],
            ],
            'policy' => $policy + ['interval_km' => 300],
            'pot' => $pot + [
                'weekdays' => [false, false, false, true, false, true, true],
                'fixed_minutes' => 45,
                'per_dip_minutes' => 4,
                'batch_minutes' => 10,
                'capacity' => 3,
                'swap_minutes' => 3,
                'topup' => null,
                'vessel' => ['diameter_mm' => 130, 'height_mm' => 105],
                'wax_g' => 500,
            ],
            'costs' => $costs + ['chain' => 30, 'strip' => 3, 'quick_link' => 5, 'cassette' => 64, 'wax_kg' => 14, 'topup' => 1.5],
        ]),
    );
}

it('loses no kilometre, no chain and no gram', function (array $policy): void {
    $found = simulated($policy);
    $weeks = $found['weeks'];
    $sum = fn(string $of): float => (float) array_sum(array_column($weeks, $of));
    // 230 km a week, as ridden.
    expect($sum('km'))
        ->toEqualWithDelta(104 * 230.0, 1e-6)
        ->and($found['totals']['km'])
        ->toEqualWithDelta($sum('km'), 1e-9);
    // Wax: what was there and bought is in the pot, on chains or thrown away.
    expect(500.0 + $sum('wax_bought_g'))->toEqualWithDelta(end($weeks)['wax_g'] + $sum('wax_taken_g') + $sum('wax_thrown_g'), 1e-6);
    // Chains: those there at the start and those bought hang there, or are worn out; and never fewer than before.
    $start = min(5, ($policy['chains'] ?? 9) * 2);
    $hang = array_sum(array_map(count(...), end($weeks)['wear']));
    $there = $start === 5 ? 5 : min(3, $policy['chains']) + min(2, $policy['chains']);
    expect($there + $sum('bought'))->toEqualWithDelta($hang + $found['totals']['retired'], 1e-9);
    // Wear: what the km made, on chains that hang and on those that are gone; money: what was bought.
    $curve = ['200' => 25_000, '300' => 15_000, '400' => 9_000];
    $times = 15_000 / $curve[(string) ($policy['interval_km'] ?? 300)];
    $now =
        array_sum(array_map(array_sum(...), end($weeks)['wear'])) +
        array_sum(array_column(array_merge(...array_column($weeks, 'retired')), 'wear_pct'));
    $kept = ($policy['chains'] ?? 3) < 3 ? ($policy['chains'] === 1 ? 0.1 + 0.05 : 0.1 + 0.2 + 0.05 + 0.4) : 1.05;
    expect($now)
        ->toEqualWithDelta($kept + 0.02 * $sum('bought') + ($times * (104 * 160 * 0.05 + 104 * 70 * 0.08)) / 1000, 1e-6)
        ->and($found['totals']['cost'])
        ->toEqualWithDelta($sum('bought') * 38 + $sum('cassettes') * 64 + ($sum('wax_bought_g') / 1000) * 14 + $sum('topups') * 1.5, 1e-6);
})->with([
    'even' => [[]],
    'in turn' => [['rotation' => 'in_turn']],
    'one at a time' => [['rotation' => 'one_at_a_time']],
    'short' => [['interval_km' => 200]],
    'long' => [['interval_km' => 400]],
    'two chains' => [['chains' => 2]],
    'drip alone' => [['drip_only' => true]],
    'dips that are chosen' => [['dips' => 'chosen']],
    'chosen, in turn, four chains' => [['dips' => 'chosen', 'rotation' => 'in_turn', 'chains' => 4]],
]);

it('goes the way that every input should', function (): void {
    $of = fn(array $found, string $what) => $found['totals'][$what];
    $usual = simulated();
    // A shorter interval: more pot days and minutes, fewer chains.
    expect($of(simulated(['interval_km' => 200]), 'pot_days'))
        ->toBeGreaterThan($of($usual, 'pot_days'))
        ->and($of(simulated(['interval_km' => 200]), 'retired'))
        ->toBeLessThan($of($usual, 'retired'))
        ->and($of(simulated(['interval_km' => 400]), 'retired'))
        ->toBeGreaterThan($of($usual, 'retired'))
        // More chains: fewer pot days. A higher limit: fewer chains bought. Dearer chains: more money.
        ->and($of(simulated(['chains' => 5]), 'pot_days'))
        ->toBeLessThan($of(simulated(['chains' => 1]), 'pot_days'))
        ->and($of(simulated(['limit_pct' => 0.75]), 'retired'))
        ->toBeLessThan($of($usual, 'retired'))
        ->and($of(simulated(costs: ['chain' => 60]), 'cost'))
        ->toBeGreaterThan($of($usual, 'cost'))
        ->and($of(simulated(costs: ['hour' => 20]), 'per_1000km'))
        ->toBeGreaterThan($of($usual, 'per_1000km'))
        // Wetter roads: more pot days. Faster wear: more chains. The bottle may save a pot day, never cost one.
        ->and($of(simulated(bike: ['factor' => 2.0]), 'pot_days'))
        ->toBeGreaterThan($of($usual, 'pot_days'))
        ->and($of(simulated(bike: ['rate_pct_per_1000km' => 0.1]), 'retired'))
        ->toBeGreaterThan($of($usual, 'retired'))
        ->and($of(simulated(pot: ['topup' => ['km' => 200, 'minutes' => 1, 'max_per_cycle' => 2]]), 'pot_days'))
        ->toBeLessThan($of($usual, 'pot_days'))
        ->and($of(simulated(['drip_only' => true]), 'pot_days'))
        ->toBe(0)
        ->and($of(simulated(['drip_only' => true]), 'topups'))
        ->toBeGreaterThan(50)
        // Even wears the chains of a bike alike; one at a time does not.
        ->and(max($even = simulated(weeks: 40)['weeks'][39]['wear']['heron']) - min($even))
        ->toBeLessThan(max($one = simulated(['rotation' => 'one_at_a_time'], 40)['weeks'][39]['wear']['heron']) - min($one))
        // With no day for the pot somebody stays at home on one.
        ->and($of(simulated(pot: ['weekdays' => array_fill(0, 7, false)]), 'forced'))
        ->toBe($of(simulated(pot: ['weekdays' => array_fill(0, 7, false)]), 'pot_days'))
        ->and($usual)
        ->toBe(simulated());
});

it(
    'takes no more minutes over the years where dips are chosen, if wax at the end of a fortnight is worth its share of a pot day',
    function (array $policy): void {
        [$every, $chosen] = [
            simulated($policy)['totals'],
            simulated(['dips' => 'chosen'] + $policy, pot: ['end_minutes_per_chain' => 4 + 10 / 3 + 45 / 4])['totals'],
        ];
        expect($chosen['minutes'])
            ->toBeLessThanOrEqual($every['minutes'])
            ->and($chosen['pot_days'])
            ->toBeLessThanOrEqual($every['pot_days'])
            ->and($chosen['km'])
            ->toEqualWithDelta($every['km'], 1e-9)
            // Worth a dip alone it is given away: the plan of each fortnight heats the pot for a few, and soon again.
            ->and(simulated(['dips' => 'chosen'] + $policy)['totals']['pot_days'])
            ->toBeGreaterThanOrEqual($chosen['pot_days']);
    },
)->with(['as they hang' => [[]], 'four chains' => [['chains' => 4]], 'short' => [['interval_km' => 200]]]);

it('takes a new cassette for every so many chains of a bike', function (): void {
    $found = simulated(weeks: 208, costs: ['chains_per_cassette' => 2]);
    $gone = array_count_values(array_column(array_merge(...array_column($found['weeks'], 'retired')), 'bike'));
    expect(array_sum($gone))
        ->toBeGreaterThan(3)
        ->and(array_sum(array_column($found['weeks'], 'cassettes')))
        ->toBe(array_sum(array_map(fn(int $chains) => intdiv($chains, 2), $gone)));
});

it('adds up the minutes and the money of each week to the last of them', function (array $policy, array $pot): void {
    // A pot that takes all at once, so that each pot day with a dip is one batch.
    $found = simulated($policy, 208, $pot + ['capacity' => null], ['chains_per_cassette' => 2, 'strip_minutes' => 25]);
    $worked = $cassettes = 0;
    foreach ($found['weeks'] as $week) {
        $batches = ($week['dips'] > 0 ? 1 : 0) * min($week['pot_days'], max(1, $week['dips']));
        // Whatever its minutes weigh in the plan, a top-up takes a quarter of an hour of work.
        $fixed = 45 * $week['pot_days'] + 4 * $week['dips'] + 3 * $week['swaps'] + 15 * $week['topups'];
        $strips = ($week['minutes'] - $fixed - 10 * $batches) / 25.0;
        expect(round($strips, 6))
            ->toBe((float) round($strips), "week {$week['week']}")
            ->toBeGreaterThanOrEqual($week['bought'] > 0 ? 1.0 : 0.0)
            ->toBeLessThanOrEqual((float) $week['bought']);
        expect($week['cost'])->toEqualWithDelta(
            38 * $week['bought'] + 64 * $week['cassettes'] + (14 * $week['wax_bought_g']) / 1000 + 1.5 * $week['topups'],
            1e-6,
            "week {$week['week']}",
        );
        $worked += $week['pot_days'];
        $cassettes += $week['cassettes'];
    }
    expect($worked)->toBeGreaterThan(20)->and($cassettes)->toBeGreaterThan(0);
})->with([
    'even' => [[], []],
    'chosen, with the bottle' => [['dips' => 'chosen'], ['topup' => ['km' => 60, 'minutes' => 1, 'max_per_cycle' => 1]]],
    'in turn' => [['rotation' => 'in_turn'], []],
    'one chain too few' => [['chains' => 3], []],
]);

it('wears off each week what its km make, as a share of a chain’s life', function (array $with): void {
    $in = SimulateInput::from(twoBikes(...$with));
    [$before, $ridden] = [1.05, 0.0];
    foreach ((new Simulate())($in)->weeks as $n => $week) {
        $now = array_sum(array_map(array_sum(...), $week->wear)) + array_sum(array_column($week->retired, 'wear_pct'));
        // Both bikes take their chains off at 0.5 %; a new one comes with 0.02.
        expect($week->worn)->toEqualWithDelta(($now - $before - 0.02 * $week->bought) / (0.5 - 0.02), 1e-9, "week {$n}");
        $before = $now - array_sum(array_column($week->retired, 'wear_pct'));
        $ridden += $week->km;
    }
    expect($ridden)->toEqualWithDelta($in->weeks * (array_sum($in->bikes[0]->weekKm) + 70.0), 1e-6);
})->with([
    'as usual' => [[]],
    'fast wear' => [['weeks' => 52, 'bike' => ['rate_pct_per_1000km' => 0.3]]],
    'to the corner and back' => [['weeks' => 4, 'bike' => ['week_km' => array_fill(0, 7, 0.5)]]],
]);

it('drips once for each interval, where there is nothing but the bottle', function (): void {
    $found = simulated(['drip_only' => true, 'interval_km' => 200], 52);
    // 160 km a week, and 70 of which each takes 1.4 of wax: 258 a week on two bikes, that begin and end within an interval of each chain.
    expect($found['totals']['topups'])
        ->toBeGreaterThanOrEqual((int) floor((52 * 258) / 200) - 5)
        ->toBeLessThanOrEqual((int) ceil((52 * 258) / 200) + 10);
});

it('heats the pot on its very first day, where nothing else carries the ride, and not where the coat does', function (): void {
    $first = fn(float $usedKm, float $rideKm): array => simulated(
        weeks: 1,
        pot: ['weekdays' => array_fill(0, 7, true)],
        bike: [
            'chains' => [['id' => 'A', 'wear_pct' => 0.1, 'used_km' => $usedKm]],
            'week_km' => [$rideKm, 0, 0, 0, 0, 0, 0],
        ],
    )['weeks'][0];
    [$short, $enough] = [$first(290.0, 40.0), $first(100.0, 95.0)];
    expect([$short['pot_days'], $short['forced'], $enough['pot_days']])
        ->toBe([1, 0, 0])
        ->and($short['wax_taken_g'])
        ->toBeGreaterThan(0.0);
});

it('counts what is ridden past the limit, and what the cassette lost by it', function (): void {
    // One chain at its limit, no second one, and a pot that is hot on Sundays only: it is ridden on until then.
    $worn = fn(float $wear) => simulated(
        ['chains' => 1],
        1,
        ['weekdays' => [false, false, false, false, false, false, true]],
        bike: ['chains' => [['id' => 'A', 'wear_pct' => $wear, 'used_km' => 0]], 'week_km' => [40, 40, 40, 40, 0, 0, 0]],
    );
    expect($worn(0.3)['totals']['km_past_limit'])
        ->toEqual(0)
        ->and($worn(0.5)['totals']['km_past_limit'])
        ->toEqual(160)
        // 0.2 % past it: a fourth of a cassette of 64.
        ->and($worn(0.7)['totals']['cost'] - $worn(0.5)['totals']['cost'])
        ->toEqual(16);
});

it('waxes dirtier chains when they are not rinsed: the bath is renewed sooner', function (): void {
    $thrown = fn(bool $rinsed): float => (float) array_sum(array_column(simulated(pot: ['rinsed' => $rinsed])['weeks'], 'wax_thrown_g'));
    expect($thrown(false))->toBeGreaterThan($thrown(true));
});

it('fills a pot up first in which the last pot day left enough to cover a chain, and too little for all of them', function (): void {
    $narrow = simulated(['interval_km' => 200], pot: ['vessel' => ['diameter_mm' => 40, 'height_mm' => 105], 'wax_g' => 36.0]);
    $sum = fn(string $of): float => (float) array_sum(array_column($narrow['weeks'], $of));
    expect(36.0 + $sum('wax_bought_g'))->toEqualWithDelta(
        end($narrow['weeks'])['wax_g'] + $sum('wax_taken_g') + $sum('wax_thrown_g'),
        1e-6,
    );
});

it('heats no pot for bikes that live on the bottle, whichever day of the week they are ridden', function (array $weekKm): void {
    $totals = simulated(['interval_km' => 200, 'drip_only' => true], 104, bike: ['week_km' => $weekKm])['totals'];
    expect([$totals['pot_days'], $totals['forced'], $totals['dips']])
        ->toBe([0, 0, 0])
        ->and($totals['topups'])
        ->toBeGreaterThan(0);
})->with([
    'from Monday on' => [[70, 0, 30, 0, 0, 50, 74]],
    'every day' => [[31, 31, 31, 31, 31, 31, 31]],
    'at the weekend' => [[0, 0, 0, 0, 0, 50, 74]],
]);

it('forces no more pot days than carry the week', function (): void {
    // One chain, 300 km each Tuesday, no day allowed: once a week, and once for the week that is looked ahead at.
    $found = simulated(
        ['chains' => 1],
        8,
        ['weekdays' => array_fill(0, 7, false)],
        bike: [
            'week_km' => [0, 300, 0, 0, 0, 0, 0],
            'chains' => [['id' => 'A', 'wear_pct' => 0, 'used_km' => 0]],
            'rate_pct_per_1000km' => 0.001,
        ],
    );
    expect($found['totals']['forced'])->toBe(8);
});

it('ends a coat by its hours where they come first', function (): void {
    // 160 km a week at 20 km/h are 8 h: ten hours are 200 km, whatever the 300 km of the policy say.
    $by = fn(float $km, array $hours) => array_intersect_key(
        simulated(['interval_km' => $km], 52, bike: $hours + ['rate_interval_km' => $km])['totals'],
        ['pot_days' => 0, 'dips' => 0, 'swaps' => 0],
    );
    expect($by(300, ['interval_hours' => 10, 'hours_per_km' => 0.05]))
        ->not->toBe($by(300, []))
        ->and($by(300, ['interval_hours' => 100, 'hours_per_km' => 0.05]))
        ->toBe($by(300, []))
        ->and($by(300, ['interval_hours' => 10, 'hours_per_km' => 0.0]))
        ->toBe($by(300, []));
});

it('adds the weeks up to what an answer is made of', function (): void {
    // Two weeks by hand: 100 and 300 km, an hour and two, one chain bought and worn out, one cassette; an hour costs 20.
    $week = function (int $n, array $of): SimulatedWeek {
        $week = new SimulatedWeek($n);
        foreach ($of as $field => $value) {
            $week->{$field} = $value;
        }

        return $week;
    };
    $retired = [
        ['bike' => 'heron', 'chain' => 'A', 'km' => 9000.0, 'wear_pct' => 0.5],
        ['bike' => 'heron', 'chain' => 'B', 'km' => 11000.0, 'wear_pct' => 0.5],
    ];
    $weeks = [
        $week(0, ['km' => 100.0, 'minutes' => 60.0, 'cost' => 2.0, 'worn' => 0.1, 'wear' => ['heron' => ['A' => 0.1, 'B' => 0.3]]]),
        $week(1, [
            'km' => 300.0,
            'minutes' => 120.0,
            'cost' => 103.0,
            'worn' => 0.2,
            'bought' => 1,
            'strips' => 1,
            'cassettes' => 1,
            'retired' => $retired,
            'wear' => ['heron' => ['A' => 0.2, 'B' => 0.4], 'badger' => []],
        ]),
    ];
    $found = new SimulateResult($weeks, new SimulatedCosts(30.0, 3.0, 5.0, 60.0, 4.0, hour: 20.0));
    expect([$found->km(), $found->cost(), $found->minutes(), $found->solventCost(), $found->chainLifeKm()])
        ->toBe([400.0, 105.0, 180.0, 3.0, 10_000.0])
        // (105 + 3 h × 20) ÷ 0.4
        ->and($found->per1000Km())
        ->toEqualWithDelta(412.5, 1e-9)
        // 105 less the chain at 38 and the cassette at 60, and 0.3 of a chain with its quarter of a cassette: 7 + 0.3 × 53 + 60.
        ->and($found->usedUpPer1000Km())
        ->toEqualWithDelta((7.0 + 0.3 * 53.0 + 60.0) / 0.4, 1e-9);
    // Half an hour of the three went into stripping the chain that was bought: 10, of which 0.3 was used up.
    $byHand = new SimulateResult($weeks, new SimulatedCosts(30.0, 3.0, 5.0, 60.0, 4.0, hour: 20.0, stripMinutes: 30.0));
    expect($byHand->usedUpPer1000Km())->toEqualWithDelta((7.0 + 0.3 * 63.0 + 50.0) / 0.4, 1e-9);
    // Two that were stripped together took those minutes once.
    $weeks[1]->bought = 2;
    $byHand = new SimulateResult($weeks, new SimulatedCosts(30.0, 3.0, 5.0, 60.0, 4.0, hour: 20.0, stripMinutes: 30.0));
    expect($byHand->usedUpPer1000Km())->toEqualWithDelta((7.0 - 38.0 + 0.3 * 63.0 + 50.0) / 0.4, 1e-9);
});

it('strips what is bought, those at once together', function (): void {
    // Five chains too few at once, on two bikes; after them each when its forerunner is worn out.
    $found = fn(float $strip): array => simulated(['chains' => 5], 260, costs: ['strip_minutes' => $strip]);
    [$without, $with] = [$found(0.0), $found(25.0)];
    expect($with['weeks'][0]['bought'])
        ->toBe(5)
        ->and($with['weeks'][0]['minutes'] - $without['weeks'][0]['minutes'])
        ->toEqualWithDelta(25.0, 1e-9);
    $later = fn(array $of): array => array_slice($of['weeks'], 1);
    expect(array_sum(array_column($later($with), 'bought')))->toBeGreaterThan(0);
    foreach ($later($with) as $n => $week) {
        $strips = ($week['minutes'] - $later($without)[$n]['minutes']) / 25.0;
        expect(round($strips, 6))
            ->toBeGreaterThanOrEqual($week['bought'] > 0 ? 1.0 : 0.0)
            ->toBeLessThanOrEqual((float) $week['bought']);
    }
});

it('refuses what cannot be simulated', function (array $bike, array $pot, string $field): void {
    expect(fn() => simulated(weeks: 2, pot: $pot, bike: $bike))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    [['chains' => []], [], 'bikes.0.chains'],
    [
        ['chains' => [['id' => 'A', 'wear_pct' => 0, 'used_km' => 0], ['id' => 'A', 'wear_pct' => 0.1, 'used_km' => 0]]],
        [],
        'bikes.0.chains.1.id',
    ],
    'of another bike too' => [
        ['chains' => [['id' => 'A', 'wear_pct' => 0, 'used_km' => 0], ['id' => 'D', 'wear_pct' => 0.1, 'used_km' => 0]]],
        [],
        'bikes.1.chains.0.id',
    ],
    'as a bought one would be called' => [
        ['chains' => [['id' => 'A', 'wear_pct' => 0, 'used_km' => 0], ['id' => 'new 1', 'wear_pct' => 0.1, 'used_km' => 0]]],
        [],
        'bikes.0.chains.1.id',
    ],
    [[], ['fixed_minutes' => -1], 'pot.fixed_minutes'],
    [[], ['capacity' => 0], 'pot.capacity'],
    'too low for its dips' => [['week_km' => [200, 200, 0, 0, 200, 0, 0]], ['wax_g' => 10], 'pot.wax_g'],
    [['week_km' => [1, 2]], [], 'bikes.0.week_km'],
    [['on_bike' => 'Z'], [], 'bikes.0.on_bike'],
    [['limit_pct' => 0], [], 'bikes.0.limit_pct'],
    [[], ['weekdays' => [true]], 'pot.weekdays'],
    [[], ['wax_g' => 0], 'pot.wax_g'],
]);
