<?php

declare(strict_types=1);

use Dripel\Core\Drip\DripDose;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

it('counts drops, millilitres and what the bottle still does, by hand', function (
    array $input,
    float $drops,
    float $ml,
    ?int $left,
    string $ready,
): void {
    $found = (new DripDose())->compute(
        Fields::fromJson((string) json_encode($input + ['applied_at' => '2026-11-25T20:00:00+01:00', 'bottle_ml' => null])),
    );
    expect($found['drops'])
        ->toEqualWithDelta($drops, 1e-9)
        ->and($found['ml'])
        ->toEqualWithDelta($ml, 1e-9)
        ->and($found['applications_left'])
        ->toBe($left)
        ->and($found['ready_at'])
        ->toBe($ready);
})->with([
    // 20 drops to the millilitre, the pharmacists' convention (memory): 116 drops are 5.8 ml; 120 − 5.8 hold 19 more.
    'one coat' => [['pitches' => 116, 'bottle_ml' => 120], 116.0, 5.8, 19, '2026-11-26T05:00:00Z'],
    // 58 ÷ 5.8 is ten: this one and nine more, in spite of floating point.
    'to the last drop' => [['pitches' => 116, 'bottle_ml' => 58], 116.0, 5.8, 9, '2026-11-26T05:00:00Z'],
    'two coats, half a day' => [
        ['pitches' => 100, 'coats' => 2, 'dry_hours' => 12, 'bottle_ml' => 4],
        200.0,
        10.0,
        0,
        '2026-11-26T07:00:00Z',
    ],
    'thick drops, bottle unknown' => [
        ['pitches' => 100, 'drops_per_roller' => 1.5, 'ml_per_drop' => 0.06],
        150.0,
        9.0,
        null,
        '2026-11-26T05:00:00Z',
    ],
]);

it('refuses what cannot be', function (array $with, string $field): void {
    $input = $with + ['pitches' => 116, 'bottle_ml' => 120, 'applied_at' => '2026-11-25T20:00:00Z'];
    expect(fn() => (new DripDose())->compute(Fields::fromJson((string) json_encode($input))))->toThrow(
        fn(InvalidInput $e) => expect($e->path)->toBe($field),
    );
})->with([
    [['pitches' => 0], 'pitches'],
    [['coats' => 0], 'coats'],
    [['ml_per_drop' => 0], 'ml_per_drop'],
    [['bottle_ml' => -1], 'bottle_ml'],
    [['applied_at' => '2026-11-25'], 'applied_at'],
    [['dose' => 1], 'dose'],
]);
