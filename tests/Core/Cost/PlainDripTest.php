<?php

declare(strict_types=1);

use Dripel\Core\Cost\PlainDrip;
use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Settings;

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

it('takes the prices of the day: a chain with its link, a cassette, and what a coat of drip takes', function (): void {
    $price = fn(Supply $supply, int $minor, float $quantity): Price => new Price(1, $supply, 0, $minor, $quantity);
    $prices = new PriceList([
        $price(Supply::Chain, 6000, 2.0), // Two for 60.00.
        $price(Supply::QuickLink, 900, 3.0),
        $price(Supply::Cassette, 5000, 1.0),
        $price(Supply::DripWax, 1200, 120.0),
    ]);
    $plain = PlainDrip::of(new Settings([]), [7 => 1.0], $prices, 4.0, 10);
    $dose = 10.0 * DripDoseInput::USUAL_ML;
    expect($plain->costMinor(0.0, 7))
        ->toEqualWithDelta(3000.0 + 300.0, 1e-9)
        ->and($plain->costMinor(200.0, 7))
        ->toEqualWithDelta(3300.0 + $dose, 1e-9);
    // The coat wears like a wax interval half as long again: 300 km, at which a chain lives 15,000 km; the fourth takes the cassette along.
    expect($plain->costMinor(60_000.0, 7))->toEqualWithDelta(5 * 3300.0 + 5000.0 + 300 * $dose, 1e-6);
});
