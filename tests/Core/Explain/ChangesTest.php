<?php

declare(strict_types=1);

use Dripel\Core\Explain\Change;
use Dripel\Core\Explain\Changes;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Distance;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Wear\DigitalReading;

/** Chains 1 to 3 dipped at hour 0; the one that is said goes on bike 7 at hour 1; 80 km at hour 2, a reading of it at hour 3. */
function shed(int $fitted, float $km = 80.0, float $intervalKm = 300.0): Book
{
    return new Book(
        [7],
        [1, 2, 3],
        new Settings([new DatedSetting(SettingKey::IntervalKm, 7, new Moment(0), $intervalKm)]),
        [new Fitting(1, new Moment(3600), 7, $fitted)],
        [new Ride(1, new Moment(7200), 7, $km, null, Condition::Dry)],
        [
            ...array_map(fn(int $chain) => new Dip($chain, new Moment(0), $chain), [1, 2, 3]),
            new Reading(9, new Moment(10800), 1, new DigitalReading(0.2)),
        ],
    );
}

/** @return array<string, array{float|string|null, float|string|null}> */
function figures(array $changes): array
{
    return array_combine(
        array_map(fn(Change $change) => $change->figure, $changes),
        array_map(
            fn(Change $change) => array_map(
                fn($value) => $value instanceof Distance ? ($value->whole ? $value->km : "at least {$value->km}") : $value,
                [$change->before, $change->after],
            ),
            $changes,
        ),
    );
}

it('finds every figure that changes, on all chains concerned and no other', function (): void {
    $changes = Changes::between(shed(1), shed(2), 4 * 3600);
    expect(array_keys($changes))
        ->toBe([1, 2])
        ->and(figures($changes[1]))
        ->toBe([
            'place' => ['7', null],
            'status' => ['ridden', 'waxed'],
            'left' => [220.0, 300.0],
            'since' => [80.0, 0.0],
            'km' => [80.0, 0.0],
            'measured_at' => [80.0, 0.0],
        ])
        ->and(figures($changes[2]))
        ->toBe([
            'place' => [null, '7'],
            'status' => ['waxed', 'ridden'],
            'left' => [300.0, 220.0],
            'since' => [0.0, 80.0],
            'km' => [0.0, 80.0],
        ]);
});

it('says nothing where nothing is different', function (): void {
    expect(Changes::between(shed(1), shed(1), 4 * 3600))
        ->toBe([])
        ->and(Changes::between(shed(1), shed(1, 80.0 + 1e-9), 4 * 3600))
        ->toBe([]);
});

it('tells what another interval leaves', function (): void {
    $changes = Changes::between(shed(1), shed(1, intervalKm: 80.0), 4 * 3600);
    expect(figures($changes[1]))->toBe(['status' => ['ridden', 'spent'], 'left' => [220.0, 0.0]]);
});

it('calls a least value one, also where it is the same in figures', function (): void {
    $came = fn(?float $km) => new Book([7], [1], new Settings([]), [], [], [new Opening(1, new Moment(0), 1, $km)]);
    expect(figures(Changes::between($came(null), $came(0.0), 3600)[1]))->toBe(['km' => ['at least 0', 0.0]]);
});
