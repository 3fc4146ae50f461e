<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Wear\DigitalReading;

/** Chain 1 on bike 7 since hour 0, cassette 5 likewise, quick link 6 on chain 1; the default interval of 300 km. */
function arrived(Opening $opening, array $rides = [], array $events = [], array $fittings = []): Book
{
    return new Book(
        [7],
        [1, 2],
        new Settings([]),
        [new Fitting(1, new Moment(0), 7, 1), new Fitting(2, new Moment(0), 7, 5, Slot::Cassette), ...$fittings],
        array_map(fn(array $ride) => new Ride($ride[0], new Moment(3600 * $ride[0]), 7, $ride[1], null, Condition::Dry), $rides),
        [$opening, ...$events],
        parts: [new Part(5, PartKind::Cassette), new Part(6, PartKind::QuickLink, 1, 3)],
    );
}

it('counts what a chain brought with it', function (Opening $opening, array $events, array $expected): void {
    $chain = arrived($opening, [[5, 40.0], [6, 20.0]], $events)->chain(1, 3600 * 24);
    [$status, $km, $whole, $left, $since] = $expected;
    expect($chain->status)
        ->toBe($status)
        ->and($chain->km->km)
        ->toEqualWithDelta($km, 1e-9)
        ->and($chain->km->whole)
        ->toBe($whole)
        ->and($chain->leftKm())
        ->toEqualWithDelta($left, 1e-9)
        ->and($chain->wax->cycleKm()->km)
        ->toEqualWithDelta($since, 1e-9);
})->with([
    'all known' => [new Opening(1, new Moment(0), 1, 2100.0, WaxThen::Known, 120.0), [], [ChainStatus::Ridden, 2160.0, true, 120.0, 180.0]],
    'fresh from the pot' => [
        new Opening(1, new Moment(0), 1, 2100.0, WaxThen::Known, 0.0),
        [],
        [ChainStatus::Ridden, 2160.0, true, 240.0, 60.0],
    ],
    'waxed, distance since unknown' => [
        new Opening(1, new Moment(0), 1, 2100.0, WaxThen::Unknown),
        [],
        [ChainStatus::Unsure, 2160.0, true, 0.0, 60.0],
    ],
    'no wax' => [new Opening(1, new Moment(0), 1, 900.0), [], [ChainStatus::Unwaxed, 960.0, true, 0.0, 0.0]],
    'km unknown' => [new Opening(1, new Moment(0), 1, null, WaxThen::Known, 100.0), [], [ChainStatus::Ridden, 60.0, false, 140.0, 160.0]],
    'used up between there and here' => [
        new Opening(1, new Moment(0), 1, 900.0, WaxThen::Known, 250.0),
        [],
        [ChainStatus::Spent, 960.0, true, 0.0, 310.0],
    ],
    'dipped since: nothing is unknown any more' => [
        new Opening(1, new Moment(0), 1, null, WaxThen::Unknown),
        [new Dip(2, new Moment(3600 * 5 + 1), 1)],
        [ChainStatus::Ridden, 60.0, false, 280.0, 20.0],
    ],
    'stripped since' => [
        new Opening(1, new Moment(0), 1, 900.0, WaxThen::Known, 0.0),
        [new Strip(2, new Moment(3600 * 23), 1)],
        [ChainStatus::Bare, 960.0, true, 0.0, 0.0],
    ],
    'a dip from before it came is part of what it brought' => [
        new Opening(1, new Moment(3600 * 4), 1, 500.0, WaxThen::None),
        [new Dip(2, new Moment(3600), 1)],
        [ChainStatus::Unwaxed, 560.0, true, 0.0, 0.0],
    ],
    'rides from before it came too' => [
        new Opening(1, new Moment(3600 * 5 + 60), 1, 500.0, WaxThen::Known, 50.0),
        [],
        [ChainStatus::Ridden, 520.0, true, 230.0, 70.0],
    ],
]);

it('becomes due for certain where even the most that can be left is gone', function (): void {
    $chain = arrived(new Opening(1, new Moment(0), 1, null, WaxThen::Unknown), [[5, 305.0]])->chain(1, 3600 * 24);
    expect($chain->status)
        ->toBe(ChainStatus::Spent)
        ->and($chain->wax->life?->due())
        ->toBeTrue()
        ->and($chain->rideable())
        ->toBeFalse();
});

it('knows the distance of a reading only where the logbook does', function (): void {
    $at = fn(int $hour) => new Reading(9, new Moment(3600 * $hour), 1, new DigitalReading(0.2));
    $opening = new Opening(1, new Moment(3600 * 4), 1, 1000.0, WaxThen::None);
    expect(arrived($opening, [[5, 40.0]], [$at(6)])->chain(1, 3600 * 24)->wear->atKm?->km)
        ->toBe(1040.0)
        ->and(arrived($opening, [[5, 40.0]], [$at(3)])->chain(1, 3600 * 24)->wear->atKm?->whole)
        ->toBeFalse();
});

it('counts cassettes and closings of quick links, and says where a part is unknown', function (): void {
    $swaps = [new Fitting(3, new Moment(3600 * 8), 7, 2), new Fitting(4, new Moment(3600 * 9), 7, 1)];
    $book = fn(Opening $opening) => arrived($opening, [[5, 40.0], [8, 25.0]], [], $swaps);
    $cassette = $book(new Opening(1, new Moment(0), 5, 8000.0))
        ->inventory()
        ->part(5, 3600 * 24);
    $link = $book(new Opening(1, new Moment(0), 6, null, closings: 2))
        ->inventory()
        ->part(6, 3600 * 24);
    $unknown = $book(new Opening(1, new Moment(0), 6, null))
        ->inventory()
        ->part(6, 3600 * 24);
    expect($cassette->km->km)
        ->toBe(8065.0)
        ->and($cassette->bikeId)
        ->toBe(7)
        ->and([$link->closings, $link->closingsKnown, $link->usedUp()])
        ->toBe([3, true, true])
        ->and([$unknown->closings, $unknown->closingsKnown, $unknown->usedUp()])
        ->toBe([1, false, false]);
});

it('refuses what cannot be', function (float $km, ?float $since, ?int $closings, string $path): void {
    expect(fn() => new Opening(1, new Moment(0), 1, $km, WaxThen::Known, $since, $closings))->toThrow(
        fn(InvalidInput $e) => expect($e->path)->toBe($path),
    );
})->with([
    [-1.0, null, null, 'km'],
    [100.0, 120.0, null, 'since_wax_km'],
    [100.0, -1.0, null, 'since_wax_km'],
    [100.0, 1.0, -1, 'closings'],
]);
