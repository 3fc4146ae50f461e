<?php

declare(strict_types=1);

use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\WorkDone;
use Dripel\Core\Cost\WorkshopCosts;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Next\NextInput;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\NextList;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Riders\PotSplit;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\RiderShare;
use Dripel\Core\Riders\Whose;

const RIDERS_NOW = 1_795_000_000;
const RIDERS_DAY = 86_400;

/**
 * Bikes 1 and 2 are Mo's, 3 is Ada's, 4 everybody's; chain 11 on bike 1, and so on; each dipped once, on one evening ten days ago, and
 * ridden 100 km a bike since. Chain 13 took 30 g, chain 11 was weighed as 10 g, the others take the usual.
 */
function ridersBook(int $kmEach = 100): Book
{
    $names = [1 => 'Mo', 2 => '  mo', 3 => 'Ada'];
    $at = fn(int $daysAgo): Moment => new Moment(RIDERS_NOW - $daysAgo * RIDERS_DAY);
    $bikes = [1, 2, 3, 4];
    $events = [new TopUp(90, $at(2), 12, 5.0)];
    foreach ($bikes as $bike) {
        $events[] = new Dip(20 + $bike, $at(10), 10 + $bike, pickupG: [1 => 10.0, 3 => 30.0][$bike] ?? null);
    }

    return new Book(
        $bikes,
        [11, 12, 13, 14],
        new Settings([
            ...array_map(fn(int $bike) => new DatedSetting(SettingKey::BikeRider, $bike, new Moment(0), $names[$bike] ?? null), $bikes),
            ...array_map(fn(int $bike) => new DatedSetting(SettingKey::ChainHome, 10 + $bike, new Moment(0), $bike), $bikes),
        ]),
        array_map(fn(int $bike) => new Fitting(30 + $bike, $at(9), $bike, 10 + $bike), $bikes),
        array_map(fn(int $bike) => new Ride(40 + $bike, $at(5), $bike, (float) $kmEach, null, Condition::Dry), $bikes),
        $events,
    );
}

function ridersWax(): PriceList
{
    return new PriceList([new Price(1, Supply::Wax, 0, 2000, 500.0), new Price(2, Supply::Chain, 0, 3000, 1.0)]);
}

it('tells riders by name, however it is written, and a bike without one is everybody\'s', function (): void {
    $riders = Riders::of(ridersBook());

    expect($riders->names())
        ->toBe(['Mo', 'Ada'])
        ->and($riders->several())
        ->toBeTrue()
        ->and(array_map($riders->ofBike(...), [1, 2, 3, 4, null, 99]))
        ->toBe(['Mo', 'Mo', 'Ada', null, null, null])
        ->and($riders->ofChain(13, RIDERS_NOW))
        ->toBe('Ada')
        ->and($riders->named(' MO '))
        ->toBe('Mo')
        ->and($riders->named('Kim'))
        ->toBeNull();
    $one = Riders::of(new Book([1], [], new Settings([new DatedSetting(SettingKey::BikeRider, 1, new Moment(0), 'Mo')]), [], [], []));
    expect($one->several())->toBeFalse();
});

it('shows a rider theirs and everybody\'s, and who rides nothing everything', function (): void {
    $riders = Riders::of(ridersBook());
    $shown = fn(Whose $whose): array => $whose->bikes([1, 2, 3, 4]);

    expect($shown(Whose::rider($riders, 'mo')))
        ->toBe([1, 2, 4])
        ->and($shown(Whose::rider($riders, 'Ada')))
        ->toBe([3, 4])
        ->and($shown(Whose::rider($riders, 'Kim')))
        ->toBe([1, 2, 3, 4])
        ->and($shown(Whose::all()))
        ->toBe([1, 2, 3, 4])
        ->and(Whose::rider($riders, 'Ada')->chain(11, RIDERS_NOW))
        ->toBeFalse()
        ->and(Whose::rider($riders, 'Ada')->bike(null))
        ->toBeTrue();
});

it('leaves of Next what is of their bikes and of no bike', function (): void {
    // All coats are used up: each bike has something to be done.
    $book = ridersBook(400);
    $zone = new DateTimeZone('UTC');
    $rails = Rail::all($book, RIDERS_NOW, $zone);
    $plan = WorkshopPlan::of($book, $rails, PlanTerms::of($book, null, RIDERS_NOW), [], RIDERS_NOW, $zone);
    $next = fn(?Whose $whose): array => NextList::of(new NextInput($book, $rails, RIDERS_NOW, $zone, $plan, whose: $whose));
    $bikes = function (array $items) use (&$bikes): array {
        $of = array_merge([], ...array_map(fn(NextItem $item) => [$item->bikeId, ...$bikes($item->steps)], $items));
        $of = array_values(array_unique(array_filter($of)));
        sort($of);

        return $of;
    };
    expect($bikes($next(null)))
        ->toBe([1, 2, 3, 4])
        ->and($bikes($next(Whose::rider(Riders::of($book), 'Ada'))))
        ->toBe([3, 4]);

    $ada = Whose::rider(Riders::of($book), 'Ada');
    $pot = fn(int ...$ids) => new NextItem(
        NextKind::Evening,
        null,
        array_map(fn(int $id) => $book->chain($id, RIDERS_NOW), $ids),
        null,
        null,
    );
    expect($ada->item($pot(11, 13)))
        ->toBeTrue()
        ->and($ada->item($pot(11, 12)))
        ->toBeFalse()
        ->and($ada->item($pot()))
        ->toBeTrue()
        ->and(in_array($plan->todaysBike($ada), [3, 4], true))
        ->toBeTrue();
});

it('splits a pot day: each chain its wax, the work alike', function (): void {
    $book = ridersBook();
    $terms = new PlanTerms(29, [6], true);
    $split = PotSplit::done(Riders::of($book), $book->dips(), DipPickup::of([]), ridersWax(), $terms);
    $rows = array_map(fn(RiderShare $one) => [$one->rider, $one->chainIds, $one->waxG, $one->minutes, $one->waxMinor], $split->shares);
    // 45 + 4 × 4 + 10 minutes for four chains; 4 minor units a gram; the house rule's pickup where nobody weighed.
    $usual = DipPickup::of([])->usual();

    expect(array_sum(array_column($split->shares, 'minutes')))
        ->toBe(71.0)
        ->and($split->several())
        ->toBeTrue()
        ->and($rows)
        ->toEqualWithDelta(
            [
                ['Mo', [11, 12], 10.0 + $usual, 35.5, 4.0 * (10.0 + $usual)],
                ['Ada', [13], 30.0, 17.75, 120.0],
                [null, [14], $usual, 17.75, 4.0 * $usual],
            ],
            1e-9,
        );
    $unpriced = PotSplit::ahead(Riders::of($book), [11, 13], 1, RIDERS_NOW, DipPickup::of([]), new PriceList([]), $terms);
    expect(array_column($unpriced->shares, 'waxMinor'))
        ->toBe([null, null])
        ->and(array_column($unpriced->shares, 'minutes'))
        ->toBe([31.5, 31.5])
        ->and(PotSplit::done(Riders::of($book), [], DipPickup::of([]), ridersWax(), $terms)->several())
        ->toBeFalse()
        ->and(PotSplit::ahead(Riders::of($book), [11, 12], 1, RIDERS_NOW, DipPickup::of([]), ridersWax(), $terms)->several())
        ->toBeFalse();
    // Two chains a batch: two batches.
    $small = new PlanTerms(29, [6], true, potCapacity: 2);
    expect($small->potDayMinutes(3))->toBe(45.0 + 12.0 + 20.0);
});

it('adds money, km and minutes of all riders up to those of the workshop', function (): void {
    $book = ridersBook();
    $riders = Riders::of($book);
    $costs = WorkshopCosts::of($book, ridersWax(), DipPickup::of([]), [], RIDERS_NOW);
    $terms = new PlanTerms(29, [6], true);
    $byRider = $costs->byRider($riders);

    expect(array_column($byRider, 0))
        ->toBe(['Mo', 'Ada', null])
        ->and(array_map(fn(array $one) => $one[1]->km, $byRider))
        ->toBe([200.0, 100.0, 100.0])
        ->and(array_sum(array_map(fn(array $one) => $one[1]->minor(), $byRider)))
        ->toBe($costs->sum()->minor());
    $ada = $costs->only(Whose::rider($riders, 'Ada'));
    // Theirs, and everybody's bike.
    expect($ada->sum()->km)
        ->toBe(200.0)
        ->and($ada->sum()->minor())
        ->toBe($byRider[1][1]->minor() + $byRider[2][1]->minor())
        ->and($costs->only(Whose::all()))
        ->toBe($costs);
    $minutes = fn(?string $name): float => WorkDone::of($book, $terms, RIDERS_NOW, $name === null ? null : Whose::rider($riders, $name))
        ->minutes;
    // Mo has two of four chains, everybody's one, a top-up of 15 minutes; nothing was swapped.
    expect($minutes(null))
        ->toBe(71.0 + 15.0)
        ->and($minutes('Mo'))
        ->toBe(53.25 + 15.0)
        ->and($minutes('Ada'))
        ->toBe(35.5);
});
