<?php

declare(strict_types=1);

use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainTimeline;
use Dripel\Core\Logbook\ConflictKind;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\EntryKind;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Fittings;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\Span;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;

/** One ride of one chain on one bike: [km, hours, condition], an hour apart from 10:00 on. */
function coatAfter(array $rides, array $events = [], array $settings = []): Book
{
    return new Book(
        [1],
        [7],
        new Settings([
            new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1),
            ...array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment(0), $one[2]), $settings),
        ]),
        [new Fitting(1, new Moment(0), 1, 7)],
        array_map(
            fn(array $ride, int $n) => new Ride(
                $n + 1,
                new Moment(3600 * (10 + $n)),
                1,
                $ride[0],
                $ride[1] ?? null,
                $ride[2] ?? Condition::Dry,
            ),
            $rides,
            array_keys($rides),
        ),
        [new Dip(50, new Moment(3600), 7), ...$events],
    );
}

it('puts what happens at one instant in the order of the work', function (): void {
    $kinds = EntryKind::cases();
    usort($kinds, fn(EntryKind $a, EntryKind $b) => $a->rank() <=> $b->rank());
    expect(array_map(fn(EntryKind $kind) => $kind->value, $kinds))
        ->toBe(['opening', 'strip', 'dip', 'fitting', 'topup', 'ride', 'oiling', 'care', 'brushing', 'noise', 'reading', 'retirement'])
        ->and(array_unique(array_map(fn(EntryKind $kind) => $kind->rank(), $kinds)))
        ->toHaveCount(count($kinds))
        ->and(array_values(array_filter($kinds, fn(EntryKind $kind) => !$kind->isEvent())))
        ->toBe([EntryKind::Fitting, EntryKind::Ride]);
});

it('wears the cassette of the trainer indoors where there is one, and that of the wheel on the road', function (): void {
    $wheel = new Part(21, PartKind::Cassette);
    $trainer = new Part(22, PartKind::Cassette, onTrainer: true);
    $ring = new Part(23, PartKind::Ring);
    $ride = fn(int $id, int $atS, Condition $condition) => new Ride($id, new Moment($atS), 1, 10.0 * $id, null, $condition);
    $book = new Book(
        [1],
        [],
        new Settings([]),
        [
            new Fitting(1, new Moment(0), 1, 21, Slot::Cassette),
            new Fitting(2, new Moment(0), 1, 23, $ring->slot()),
            new Fitting(3, new Moment(150), 1, 22, Slot::Trainer),
        ],
        [
            $ride(1, 100, Condition::Indoor), // No trainer cassette yet: the wheel’s wears.
            $ride(2, 160, Condition::Indoor),
            $ride(3, 170, Condition::Wet),
            $ride(4, 200, Condition::Dry),
        ],
        [],
        parts: [$wheel, $trainer, $ring],
    );
    $ids = fn(Part $part, int $untilS) => array_map(fn(Ride $one) => $one->id, $book->inventory()->ridesOn($part, $untilS));
    expect([$ids($wheel, 200), $ids($wheel, 199), $ids($trainer, 200), $ids($ring, 200)])
        ->toBe([[1, 3, 4], [1, 3], [2], [1, 2, 3, 4]])
        ->and($book->inventory()->ridesOn(new Part(24, PartKind::QuickLink, 7), 200))
        ->toBe([])
        ->and($book->inventory()->partOn(Slot::Trainer, 1, 149))
        ->toBeNull()
        ->and($book->inventory()->partOn(Slot::Trainer, 1, 150))
        ->toBe($trainer);
});

it('keeps a fitting until the next, or until its component is retired', function (): void {
    $on = fn(int $id, int $atS, int $bike, ?int $component) => new Fitting($id, new Moment($atS), $bike, $component);
    $fittings = new Fittings(
        [$on(1, 10, 1, 7), $on(2, 30, 1, 8), $on(3, 50, 2, 7), $on(4, 60, 2, null), $on(5, 70, 1, 8)],
        [8 => 80, 7 => 55],
    );
    $spans = fn(int $component) => array_map(fn(Span $one) => [$one->bikeId, $one->fromS, $one->untilS], $fittings->spansOf($component));
    expect($spans(7))
        ->toBe([[1, 10, 30], [2, 50, 55]])
        ->and($spans(8))
        ->toBe([[1, 30, 80]])
        ->and([$fittings->componentOn(1, 9), $fittings->componentOn(1, 10), $fittings->componentOn(1, 29), $fittings->componentOn(1, 30)])
        ->toBe([null, 7, 7, 8])
        ->and([$fittings->componentOn(1, 79), $fittings->componentOn(1, 80), $fittings->bikeOf(7, 54), $fittings->bikeOf(7, 55)])
        ->toBe([8, null, 2, null])
        ->and([$fittings->nextS(1, 9), $fittings->nextS(1, 10), $fittings->nextS(1, 30), $fittings->nextS(3, 0)])
        ->toBe([10, 30, null, null])
        ->and([$fittings->timesFitted(1, 9), $fittings->timesFitted(1, 30), $fittings->timesFitted(2, 99)])
        ->toBe([0, 2, 1])
        ->and($fittings->conflicts)
        ->toBe([])
        ->and((new Fittings([$on(1, 10, 1, null), $on(2, 20, 2, null), $on(3, 30, 1, 7), $on(4, 30, 1, 8)]))->spansOf(7))
        ->toBe([]) // On and off in one instant.
        ->and((new Fittings([$on(1, 10, 1, 7), $on(2, 20, 2, 7)]))->conflicts[0]->kind)
        ->toBe(ConflictKind::OnAnotherBike);
});

it('tells the newest cycles, and with the oldest of all what was before any wax', function (): void {
    $book = coatAfter([[20.0], [30.0]], [new Dip(51, new Moment(3600 * 11), 7)]);
    $of = fn(int $most): ChainTimeline => ChainTimeline::of($book->history(7), $book->settings, false, $most);
    expect([count($of(1)->cycles), $of(1)->older, $of(1)->fromS])
        ->toBe([1, 1, 3600 * 11])
        ->and([count($of(9)->cycles), $of(9)->older, $of(9)->fromS])
        ->toBe([2, 0, PHP_INT_MIN]);
});

it('comes back from a snapshot as it was', function (): void {
    $on = fn(int $id, int $atS, int $bike, ?int $component) => new Fitting($id, new Moment($atS), $bike, $component);
    $fittings = new Fittings([$on(1, 10, 1, 7), $on(2, 30, 1, 8), $on(3, 50, 2, 7)], [7 => 55]);
    expect(unserialize(serialize($fittings)))->toEqual($fittings);
});

it('says what each ride of a coat left in the measure that is nearer its end', function (): void {
    $state = coatAfter([[30.0, 1.0], [30.0, 4.0], [120.0, 2.0]], settings: [[SettingKey::IntervalHours, 1, 10]])->chain(7, 86_400);
    // Of 300 km and 10 h: 270 and 9, 240 and 5, 120 and 3.
    expect(array_map(fn(int $ride) => $state->leftAfterRide($ride)->coat, [0, 1, 2]))
        ->toEqualWithDelta([0.9, 0.5, 0.3], 1e-9)
        ->and([$state->left()->waxed, $state->left()->byHours, $state->left()->hours])
        ->toBe([true, true, 3.0])
        ->and(
            coatAfter([], [new Strip(51, new Moment(7200), 7)])
                ->chain(7, 86_400)
                ->left()->waxed,
        )
        ->toBeFalse();
});

it('ends a span where it is told to, never later than it did', function (?int $untilS, ?int $endS, ?int $expected): void {
    expect((new Span(1, 7, 10, $untilS, 1))->until($endS)->untilS)->toBe($expected);
})->with([[null, null, null], [null, 20, 20], [30, 20, 20], [20, 20, 20], [15, 20, 15], [15, null, 15]]);

it('counts hours and pace of a coat by the rides that were timed', function (array $rides, float $hours, bool $complete): void {
    $state = coatAfter($rides)->chain(7, 86_400);
    expect([$state->hours, $state->hoursComplete])->toBe([$hours, $complete]);
})->with([
    'all timed' => [[[20.0, 1.0], [40.0, 2.5]], 3.5, true],
    'one was not' => [[[20.0, 1.0], [40.0]], 1.0, false],
    'none' => [[], 0.0, true],
]);

it('lets an untimed ride take its bike’s pace where hours count', function (): void {
    $life = fn(array $rides) => coatAfter($rides, settings: [[SettingKey::IntervalHours, 1, 10]])->chain(7, 86_400)->wax->life;
    expect($life([[20.0, 1.0], [40.0]])->leftHours)
        ->toEqualWithDelta(7.0, 1e-9)
        ->and($life([[40.0]])->leftHours)
        ->toBe(10.0)
        // Half an hour is a pace as well: 40 km/h, so 40 km are another hour.
        ->and($life([[20.0, 0.5], [40.0]])->leftHours)
        ->toEqualWithDelta(8.5, 1e-9)
        ->and($life([[20.0, 1.0], [0.0, 0.5]])->leftHours)
        ->toEqualWithDelta(8.5, 1e-9);
});

it('lets an untimed ride take the usual 20 km/h where hours alone count and none was timed', function (
    array $rides,
    float $hours,
    float $km,
): void {
    $alone = [[SettingKey::IntervalHours, 1, 10], [SettingKey::IntervalKm, 1, null]];
    $state = coatAfter($rides, settings: $alone)->chain(7, 86_400);
    expect([$state->wax->life->leftHours, $state->terms->intervalKm])->toEqualWithDelta([$hours, $km], 1e-9);
})->with([
    'ten hours are 200 km' => [[[40.0]], 8.0, 200.0],
    'wet kilometres take more wax in the same hours' => [[[40.0, null, Condition::Wet], [40.0]], 6.0, 350.0],
    'one that was timed is the pace of all' => [[[20.0, 2.0], [40.0]], 4.0, 100.0],
    'if only for half an hour' => [[[20.0, 0.5], [40.0]], 8.5, 400.0],
    'not ridden' => [[], 10.0, 200.0],
]);

it('names the dirtiest ride of a coat, its distance and where it began', function (): void {
    $wax = coatAfter([[10.0, null, Condition::Damp], [5.0, null, Condition::Muddy], [7.0]])->chain(7, 86_400)->wax;
    expect([$wax->worstCondition(), $wax->cycleKm()->km, $wax->cycleKm()->whole, $wax->topUps, $wax->dip?->id])
        ->toBe([Condition::Muddy, 22.0, true, 0, 50])
        ->and(coatAfter([])->chain(7, 86_400)->wax->worstCondition())
        ->toBeNull();
});

it('takes a drip for the wax only where a bike lives on drips, and bare steel for none', function (
    bool $dripOnly,
    array $events,
    ?int $start,
): void {
    $book = coatAfter([[30.0]], $events, [[SettingKey::DripOnly, 1, $dripOnly ? 1 : 0]]);
    expect($book->chain(7, 86_400)->wax->start?->id)->toBe($start);
})->with([
    'a dip' => [false, [], 50],
    'a drip after it' => [false, [new TopUp(51, new Moment(7200), 7, 200.0)], 50],
    'a drip where no pot is heated' => [true, [new TopUp(51, new Moment(7200), 7, 200.0)], 51],
    'a drip before the dip' => [true, [new TopUp(51, new Moment(1800), 7, 200.0)], 50],
    'stripped since' => [true, [new TopUp(51, new Moment(7200), 7, 200.0), new Strip(52, new Moment(7300), 7)], null],
    'dripped onto bare steel' => [true, [new Strip(52, new Moment(7000), 7), new TopUp(51, new Moment(7200), 7, 200.0)], 51],
    'dripped onto bare steel, of a bike with a pot' => [
        false,
        [new Strip(52, new Moment(7000), 7), new TopUp(51, new Moment(7200), 7, 200.0)],
        null,
    ],
]);

it('follows the house rules until it is told otherwise', function (): void {
    $none = new Settings([]);
    $set = fn(SettingKey $key, int|float|string $value) => new Settings([new DatedSetting($key, 0, new Moment(0), $value)]);
    expect([$none->topUpsMost(), $none->dripDryHours(), $none->excessSchool(), $none->wipeRides()])
        ->toBe([2, 10.0, ExcessSchool::Leave, 5])
        ->and([$none->intervalKm(1, 0), $none->intervalHours(1, 0), $none->byEar(1, 0), $none->dripOnly(1, 0)])
        ->toBe([300.0, null, false, false])
        ->and([
            $set(SettingKey::TopUpsMost, 0)->topUpsMost(),
            $set(SettingKey::DripDryHours, 24)->dripDryHours(),
            $set(SettingKey::WipeRides, 0)->wipeRides(),
            $set(SettingKey::ExcessSchool, 'wipe')->excessSchool(),
        ])
        ->toBe([0, 24.0, 0, ExcessSchool::Wipe]);
});
