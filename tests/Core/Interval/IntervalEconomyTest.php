<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\EconomyRow;
use Dripel\Core\Interval\IntervalEconomy;
use Dripel\Core\Interval\IntervalEconomyResult;

function economy(array $input): array
{
    return (new IntervalEconomy())->compute(Fields::fromJson((string) json_encode($input)));
}

it('works out rows by hand', function (): void {
    // A chain of 24, stripped for 6, with a link of 5 and a quarter of a cassette of 60 is 50;
    // a re-wax is 0.50 and half an hour at 10: 5.50.
    $found = economy([
        'chain_cost' => 24,
        'strip_cost' => 6,
        'quick_link_cost' => 5,
        'cassette_cost' => 60,
        'rewax_cost' => 0.5,
        'minutes_per_rewax' => 30,
        'hour_value' => 10,
        'min_km' => 100,
        'max_km' => 500,
        'step_km' => 100,
    ]);
    // 200 km: 50/25,000 + 5.5/200; 300: 50/15,000 + 5.5/300; 400: 50/9,000 + 5.5/400.
    foreach ([1 => [200.0, 25_000.0, 29.5], 2 => [300.0, 15_000.0, 21.6667], 3 => [400.0, 9000.0, 19.3056]] as $n => [$km, $life, $cost]) {
        expect($found['rows'][$n]['interval_km'])
            ->toBe($km)
            ->and($found['rows'][$n]['life_km'])
            ->toEqualWithDelta($life, 1e-6)
            ->and($found['rows'][$n]['cost_per_1000km'])
            ->toEqualWithDelta($cost, 1e-3)
            ->and($found['rows'][$n]['extrapolated'])
            ->toBeFalse()
            ->and($found['rows'][$n]['rewaxes_per_1000km'])
            ->toEqualWithDelta(1000 / $km, 1e-9)
            ->and($found['rows'][$n]['minutes_per_1000km'])
            ->toEqualWithDelta(30_000 / $km, 1e-9);
    }
    // Beyond its points the life goes on with the slope of the end: 9,000·(500/400)^(ln(9/15)/ln(4/3)) = 6,055.68.
    expect($found['rows'][4]['life_km'])
        ->toEqualWithDelta(6055.68, 0.01)
        ->and($found['rows'][4]['extrapolated'])
        ->toBeTrue()
        ->and($found['rows'][0]['extrapolated'])
        ->toBeTrue()
        ->and($found['best']['interval_km'])
        ->toBe(500.0)
        ->and($found['best']['at_edge'])
        ->toBeTrue();
});

it('finds the optimum that calculus gives for a power law', function (float $exponent, float $chain, float $rewax): void {
    // life = a·i^−n: the cost C·i^n/a + w/i is least where i^(n+1) = w·a/(n·C).
    $a = 15_000 * 300 ** $exponent;
    $points = array_map(fn(int $km) => ['interval_km' => $km, 'life_km' => $a * $km ** -$exponent], [100, 250, 600]);
    $found = economy([
        'life_points' => $points,
        'chain_cost' => $chain,
        'rewax_cost' => $rewax,
        'min_km' => 50,
        'max_km' => 1500,
        'step_km' => 0.5,
    ]);
    expect($found['best']['interval_km'])
        ->toEqualWithDelta((($rewax * $a) / ($exponent * $chain)) ** (1 / ($exponent + 1)), 0.6)
        ->and($found['best']['at_edge'])
        ->toBeFalse();
})->with([[1.0, 40.0, 0.4], [2.0, 30.0, 0.8], [1.5, 60.0, 0.3]]);

it('takes the shorter of two alike, and refuses what cannot be', function (): void {
    expect(economy(['chain_cost' => 0, 'rewax_cost' => 0, 'max_km' => 200])['best'])
        ->toMatchArray(['interval_km' => 100.0, 'at_edge' => true])
        ->and(count(economy(['chain_cost' => 1, 'rewax_cost' => 1])['rows']))
        ->toBe(101)
        ->and(fn() => economy(['chain_cost' => -1, 'rewax_cost' => 1]))
        ->toThrow(InvalidInput::class)
        ->and(fn() => economy(['chain_cost' => 1, 'rewax_cost' => 1, 'min_km' => 300, 'max_km' => 200]))
        ->toThrow(InvalidInput::class)
        ->and(
            fn() => economy([
                'chain_cost' => 1,
                'rewax_cost' => 1,
                'life_points' => [['interval_km' => 200, 'life_km' => 9000], ['interval_km' => 300, 'life_km' => 9000]],
            ]),
        )
        ->toThrow(InvalidInput::class);
});

it('says how flat it is around the cheapest, and no further than what was looked at without a gap', function (): void {
    $row = fn(float $km, float $cost): EconomyRow => new EconomyRow($km, 10_000.0, $cost, 1.0, 1.0, false);
    $rows = [$row(100, 10.4), $row(150, 12.0), $row(200, 10.5), $row(250, 10.0), $row(300, 10.3), $row(350, 10.6), $row(400, 10.2)];
    $found = new IntervalEconomyResult($rows, $rows[3], false);
    expect($found->within(0.05))
        ->toBe([200.0, 300.0])
        ->and($found->within(0.0))
        ->toBe([250.0, 250.0])
        ->and($found->within(1.0))
        ->toBe([100.0, 400.0])
        ->and(array_map(fn(float $km) => $found->nearest($km)->intervalKm, [10.0, 170.0, 180.0, 999.0]))
        ->toBe([100.0, 150.0, 200.0, 400.0]);
});
