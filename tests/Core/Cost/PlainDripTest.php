<?php

declare(strict_types=1);

use Dripel\Core\Cost\PlainDrip;
use Dripel\Core\Input\InvalidInput;

it('costs one chain after the other, their cassettes, and the drip', function (float $km, float $minor): void {
    // By hand: a chain and its link at 35.00 live 5,000 km; a cassette at 60.00 goes with every fourth; a dose at 0.50 every 200 km.
    expect((new PlainDrip([7 => 5000.0], 200.0, 3500.0, 6000.0, 50.0, 4.0))->costMinor($km, 7))->toEqualWithDelta($minor, 1e-9);
})->with([
    'not ridden: the chain that is on' => [0.0, 3500.0],
    'nearly through' => [4999.0, 3500.0 + 24 * 50.0],
    'the second' => [5000.0, 2 * 3500.0 + 25 * 50.0],
    'the fourth is worn, and the cassette with it' => [20_000.0, 5 * 3500.0 + 6000.0 + 100 * 50.0],
]);

it(
    'refuses a life that is none',
    fn() => expect(fn() => new PlainDrip([7 => 0.0], 200.0, 1.0, 1.0, 1.0, 4.0))->toThrow(InvalidInput::class),
);
