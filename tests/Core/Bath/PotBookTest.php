<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Bath\PotBook;
use Dripel\Core\Bath\PotEntry;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

it('makes of a pot’s entries and of dips what bath.ledger takes: in order, chains of one action in one dip', function (): void {
    $at = fn(int $hour, int $sequence): Moment => new Moment(3600 * $hour, sequence: $sequence);
    $dips = [
        new Dip(1, $at(5, 9), 7, pickupG: 4.0, rinsed: true),
        new Dip(2, $at(5, 9), 8),
        // At the same instant, entered by itself.
        new Dip(3, $at(5, 4), 9),
        new Dip(4, $at(9, 12), 7),
    ];
    $weighed = array_map(fn(int $n) => new Dip(100 + $n, $at($n, $n), 8, pickupG: 3.0 + $n), [0, 1, 2]);
    $events = PotBook::events(
        [new PotEntry(1, $at(6, 10), 2, BathEventKind::TopUp, 50.0), new PotEntry(2, $at(1, 1), 2, BathEventKind::Fill, 400.0, 20.0)],
        $dips,
        ChainPickup::ofDips($weighed),
        new Settings([new DatedSetting(SettingKey::ChainMassG, 9, new Moment(0), 260.0)]),
        fn(Dip $dip): float => 10.0 * $dip->chainId,
    );
    expect(array_map(fn(BathEvent $event) => [$event->kind->value, $event->atS / 3600], $events))
        ->toEqual([['fill', 1.0], ['dip', 5.0], ['dip', 5.0], ['top_up', 6.0], ['dip', 9.0]])
        ->and(
            array_map(fn(BathDip $dip) => [$dip->massG, $dip->pickupG, $dip->effectiveKm, $dip->rinsed, $dip->usualG], [
                ...$events[1]->chains,
                ...$events[2]->chains,
            ]),
        )
        ->toBe([[260.0, null, 90.0, false, null], [BathDip::CHAIN_G, 4.0, 70.0, true, null], [BathDip::CHAIN_G, null, 80.0, false, 4.0]]);
});

it('counts from its last fill on, what was dipped in it and what each chain brought from the road', function (): void {
    $at = fn(int $hour): Moment => new Moment(3600 * $hour, sequence: $hour);
    $book = new Book(
        [1],
        [7, 8],
        new Settings([
            new DatedSetting(SettingKey::PotDiameterMm, 2, new Moment(0), 120.0),
            new DatedSetting(SettingKey::PotHeightMm, 2, new Moment(0), 90.0),
        ]),
        [new Fitting(1, $at(3), 1, 7)],
        [new Ride(1, $at(6), 1, 200.0, null, Condition::Dry)],
        [
            new Dip(1, $at(2), 7, potId: 2),
            // Together with a chain that no wax was on before: it brings nothing.
            new Dip(2, $at(9), 7, potId: 2),
            new Dip(3, $at(9), 8, potId: 2),
            new Dip(4, $at(10), 8, potId: 3),
        ],
    );
    $fill = fn(int $id, int $hour): PotEntry => new PotEntry($id, $at($hour), 2, BathEventKind::Fill, 500.0);
    $state = (new PotBook($book, [$fill(1, 1), $fill(2, 5), new PotEntry(3, $at(11), 3, BathEventKind::Fill, 300.0)]))->state(2);
    expect([$state->problem, $state->filledS, $state->ledger?->dips])
        ->toBe([null, 5 * 3600, 2])
        // Each takes 6 g along; 200 km leave 0.2 · 500 g / 500 g of grit, as bath.ledger counts it.
        ->and([$state->ledger?->waxG, $state->ledger?->grit])
        ->toEqualWithDelta([488.0, 0.2], 1e-9)
        ->and((new PotBook($book, []))->state(2)->ledger)
        ->toBeNull();
});

it('is as deep as what is in it, and holds what stands so deep', function (): void {
    $pot = new Vessel(120.0, 90.0);
    // 113.1 cm² of water.
    expect($pot->ml(30.0))
        ->toEqualWithDelta(30 * M_PI * 3.6, 1e-9)
        ->and($pot->depthMm($pot->ml(30.0)))
        ->toEqualWithDelta(30.0, 1e-9);
});
