<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\WaxLife;
use Dripel\Core\Interval\WaxLifeInput;
use Dripel\Core\Interval\WaxRide;
use Dripel\Core\Interval\WaxTopUp;

/** @param list<array{float, float, string}> $rides km, hours, condition */
function waxLife(array $rides, float $km = 300, ?float $hours = null, array $topUps = []): array
{
    $factors = Factors::houseRule();

    return (new WaxLife())(
        new WaxLifeInput(
            $km,
            $hours,
            array_map(
                fn(array $ride) => new WaxRide($ride[0], $ride[1], Condition::from($ride[2]), $factors->of(Condition::from($ride[2]))),
                $rides,
            ),
            array_map(fn(array $topUp) => new WaxTopUp(...$topUp), $topUps),
        ),
    )->toArray();
}

it('works out what is left, by hand', function (array $rides, array $more, array $expected): void {
    $result = waxLife($rides, ...$more);
    foreach ($expected as $field => $value) {
        is_float($value) ? expect($result[$field])->toEqualWithDelta($value, 1e-12, $field) : expect($result[$field])->toBe($value, $field);
    }
})->with([
    'nothing ridden' => [
        [],
        [],
        [
            'effective_km' => 0.0,
            'left_km' => 300.0,
            'left_fraction' => 1.0,
            'due' => false,
            'because' => null,
        ],
    ],
    'each condition takes its factor' => [
        [[10, 1, 'indoor'], [10, 1, 'dry'], [10, 1, 'dusty'], [10, 1, 'damp']],
        [],
        ['effective_km' => 48.0, 'hours' => 4.0, 'left_km' => 252.0, 'due' => false],
    ],
    'a wet ride makes it due at once' => [[[20, 1, 'wet']], [], ['left_km' => 250.0, 'due' => true, 'because' => 'wet']],
    'so does a muddy one' => [[[20, 1, 'muddy']], [], ['left_km' => 230.0, 'because' => 'wet']],
    'a top-up after it sees to the wet' => [
        [[20, 1, 'wet'], [30, 1, 'dry']],
        ['topUps' => [[0, 200.0]]],
        ['left_km' => 270.0, 'due' => false, 'effective_km' => 80.0],
    ],
    'a top-up before it does not' => [[[30, 1, 'dry'], [20, 1, 'wet']], ['topUps' => [[0, 200.0]]], ['because' => 'wet']],
    'a top-up before the first ride adds nothing to a full coat' => [[[50, 1, 'dry']], ['topUps' => [[-1, 200.0]]], ['left_km' => 250.0]],
    'no debt: a top-up counts from 0' => [
        [[500, 20, 'dry'], [50, 2, 'dry']],
        ['topUps' => [[0, 200.0]]],
        ['effective_km' => 550.0, 'left_km' => 150.0, 'due' => false],
    ],
    'a top-up never goes above the interval' => [[[50, 1, 'dry'], [100, 1, 'dry']], ['topUps' => [[0, 200.0]]], ['left_km' => 200.0]],
    'two top-ups after one ride add up' => [[[300, 9, 'dry'], [10, 1, 'dry']], ['topUps' => [[0, 100.0], [0, 50.0]]], ['left_km' => 140.0]],
    'used up by distance' => [
        [[150, 5, 'dry'], [150, 5, 'dry']],
        [],
        ['left_km' => 0.0, 'left_fraction' => 0.0, 'due' => true, 'because' => 'distance'],
    ],
    'distance is said before hours and wet' => [[[300, 12, 'wet']], ['hours' => 10], ['because' => 'distance']],
    'hours are said before wet' => [[[10, 10, 'wet']], ['hours' => 10], ['because' => 'hours']],
    'top-ups do not reset the hours' => [
        [[100, 10, 'dry']],
        ['hours' => 10, 'topUps' => [[0, 200.0]]],
        ['left_km' => 300.0, 'because' => 'hours'],
    ],
    'six rides that add up to a hair over 300 fit into 300' => [
        [...array_fill(0, 3, [99.1, 1, 'dry']), ...array_fill(0, 3, [0.9, 1, 'dry'])],
        [],
        ['left_km' => 0.0, 'because' => 'distance'],
    ],
]);

it('never leaves more after a longer or dirtier ride', function (): void {
    foreach ([10.0, 60.0, 250.0] as $km) {
        $left = array_map(fn(Condition $c) => waxLife([[$km, 1, $c->value], [5, 1, 'dry']])['left_km'], [
            Condition::Indoor,
            Condition::Dry,
            Condition::Dusty,
            Condition::Wet,
            Condition::Muddy,
        ]);
        $sorted = $left;
        rsort($sorted);
        expect($left)
            ->toBe($sorted)
            ->and(waxLife([[$km + 1, 1, 'dry']])['left_km'])
            ->toBeLessThan(waxLife([[$km, 1, 'dry']])['left_km']);
    }
});

it('refuses a top-up beyond the last ride', fn() => waxLife([[10, 1, 'dry']], topUps: [[1, 200.0]]))->throws(
    InvalidInput::class,
    'must not be beyond the last ride',
);

it('takes an interval in hours as a full one, alone or beside one in km', function (array $input, array $expected): void {
    $result = (new WaxLife())->compute(Fields::fromJson((string) json_encode($input, JSON_PRESERVE_ZERO_FRACTION)));
    foreach ($expected as $name => $value) {
        is_float($value) ? expect($result[$name])->toEqualWithDelta($value, 1e-9, $name) : expect($result[$name])->toBe($value, $name);
    }
})->with([
    // By hand: 2 + 50 · 0.04 of 10 h, and 150 of 300 km: the smaller share counts.
    'both, a ride without hours at the pace' => [
        [
            'interval_km' => 300,
            'interval_hours' => 10,
            'hours_per_km' => 0.04,
            'rides' => [['km' => 100, 'hours' => 2, 'condition' => 'dry'], ['km' => 50, 'hours' => null, 'condition' => 'dry']],
        ],
        ['hours' => 4.0, 'left_km' => 150.0, 'left_hours' => 6.0, 'left_fraction' => 0.5, 'due' => false],
    ],
    'hours run lower' => [
        ['interval_km' => 300, 'interval_hours' => 10, 'rides' => [['km' => 100, 'hours' => 9, 'condition' => 'dry']]],
        ['left_hours' => 1.0, 'left_fraction' => 0.1],
    ],
    'hours alone' => [
        ['interval_km' => null, 'interval_hours' => 10, 'rides' => [['km' => 900, 'hours' => 10, 'condition' => 'wet']]],
        ['left_km' => null, 'left_hours' => 0.0, 'left_fraction' => 0.0, 'because' => 'hours', 'effective_km' => 2250.0],
    ],
    'km alone: a ride without hours counts none' => [
        ['interval_km' => 300, 'interval_hours' => null, 'rides' => [['km' => 60, 'hours' => null, 'condition' => 'dry']]],
        ['hours' => 0.0, 'left_hours' => null, 'left_fraction' => 0.8],
    ],
]);

it('refuses a cycle without any limit, and hours that nobody knows', function (array $with, string $path): void {
    expect(
        fn() => (new WaxLife())->compute(
            Fields::fromJson(
                (string) json_encode(
                    $with + [
                        'interval_km' => null,
                        'interval_hours' => null,
                        'rides' => [['km' => 60, 'hours' => null, 'condition' => 'dry']],
                    ],
                ),
            ),
        ),
    )->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    [[], 'interval_km'],
    [['interval_hours' => 10], 'rides.0.hours'],
    [['interval_hours' => 10, 'hours_per_km' => -1], 'hours_per_km'],
]);

it('takes an ear before the count, and the day after the wet for dry', function (): void {
    $of = fn(string $condition) => (new WaxLife())(
        new WaxLifeInput(300.0, 10.0, [new WaxRide(40.0, 2.0, Condition::from($condition), 1.0)], []),
    );
    $loud = $of('dry')->silencedByNoise();
    expect([$loud->because, $loud->leftKm, $loud->leftHours, $loud->leftFraction, $loud->effectiveKm, $loud->hours])
        ->toBe([DueBecause::Noise, 0.0, 0.0, 0.0, 40.0, 2.0])
        ->and($of('wet')->because)
        ->toBe(DueBecause::Wet)
        ->and([$of('wet')->afterTheWet()->because, $of('wet')->afterTheWet()->leftKm])
        ->toBe([null, 260.0])
        ->and($loud->afterTheWet())
        ->toBe($loud)
        ->and((new WaxLife())(new WaxLifeInput(300.0, null, [], []))->silencedByNoise()->leftHours)
        ->toBeNull()
        ->and((new WaxLife())(new WaxLifeInput(null, 10.0, [], []))->silencedByNoise()->leftKm)
        ->toBeNull();
});
