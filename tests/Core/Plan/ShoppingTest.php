<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathLedgerResult;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\Shopping;
use Dripel\Core\Plan\ShoppingItem;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Move;
use Dripel\Core\Strip\MoveKind;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\StepKind;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WearVerdict;

/**
 * What to buy for the four weeks from Wednesday 25 November 2026: one bike, 70 km on Saturdays and 90 on Sundays, chains 1 (fitted, 100 of
 * 300 km left) and 2 (300 left), the pot on Thursday evenings. By hand: 1 carries the 28th, 2 the 29th, the 5th and the 6th; for the 70 km
 * of
 * the 12th neither has enough, so both go into the pot on the evening of Thursday the 10th.
 *
 * @return list<string> supply, how much, by when, why
 */
function toBuy(
    array $settings = [],
    array $forecasts = [],
    array $baths = [],
    array $parts = [],
    array $events = [],
    ?Protocol $strip = null,
    array $terms = [],
    array $jars = [],
    float $riddenKm = 200.0,
): array {
    $nowS = (int) strtotime('2026-11-25 12:00 UTC');
    $zone = new DateTimeZone('UTC');
    $at = fn(string $time): Moment => new Moment((int) strtotime("{$time} UTC"));
    $book = new Book(
        [1],
        [1, 2],
        new Settings(
            array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment($one[3] ?? 0), $one[2]), [
                [SettingKey::ChainHome, 1, 1],
                [SettingKey::ChainHome, 2, 1],
                [SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 70, 90]],
                ...$settings,
            ]),
        ),
        [new Fitting(1, $at('2026-10-01 08:00'), 1, 1)],
        [new Ride(1, $at('2026-11-11 00:00'), 1, $riddenKm, 8.0, Condition::Dry)],
        [new Dip(1, $at('2026-11-01 08:00'), 1), new Dip(2, $at('2026-11-01 08:00'), 2), ...$events],
        parts: $parts,
    );
    $rails = Rail::all($book, $nowS, $zone);
    $plan = WorkshopPlan::of(
        $book,
        $rails,
        new PlanTerms(...$terms + ['days' => 29, 'weekdays' => [4], 'evening' => true, 'marginPct' => 0.0]),
        [],
        $nowS,
        $zone,
    );
    $worn = array_map(
        fn(float $km) => new WearForecastResult(
            0.05,
            0.04,
            0.05,
            0.06,
            0.0,
            0.4,
            0.38,
            0.42,
            $km,
            null,
            null,
            0.0,
            null,
            WearVerdict::Keep,
        ),
        $forecasts,
    );
    $items = Shopping::of($book, $plan, $rails, $worn, $baths, BottleState::all($book, $nowS), $strip, $jars, LocalDay::of($nowS, $zone));

    return array_map(
        fn(ShoppingItem $item) => sprintf('%s %g %s %s', $item->supply->value, $item->quantity, $item->neededBy, $item->because->value),
        $items,
    );
}

/** A pot that still does so many dips. */
function potFor(int $dips, BathNext $next = BathNext::Ok): BathState
{
    return new BathState(
        9,
        new BathLedgerResult(300.0, 0.0, 40, 45.0, true, false, $dips, 1.0, 85.0, false, $next, 6.0, 260.0, false),
        100.0,
        105.0,
        0,
    );
}

it('buys nothing for chains that last, a pot that does and a bottle that nobody needs', function (): void {
    expect(toBuy(baths: [potFor(2)]))->toBe([])->and(toBuy(baths: [new BathState(9, null, 100.0, 105.0, null)]))->toBe([]);
});

it('buys the chains that a bike lacks, a link for each, and what stripping them takes, three in one jar', function (): void {
    // Two baths of 300 ml, the first in the dirty jar, the second in the clean one.
    $bath = fn(float $ml) => new ProtocolStep(StepKind::Bath, Solvent::WhiteSpirit, $ml, [new Move(MoveKind::Shake, 60)]);
    $lacks = fn(int $wanted, array $parts = [], array $jars = [], array $settings = []) => toBuy(
        [[SettingKey::ChainsWanted, 1, $wanted], ...$settings],
        parts: $parts,
        strip: new Protocol('two_baths', [$bath(300.0), $bath(300.0), new ProtocolStep(StepKind::Dry, seconds: 600)]),
        jars: $jars,
    );
    $link = 'quick_link 1 2026-11-25 new_chain';
    expect($lacks(3))
        ->toBe(['chain 1 2026-11-25 few', $link, 'white_spirit 600 2026-11-25 strip'])
        ->and($lacks(5))
        ->toBe(['chain 3 2026-11-25 few', $link, $link, $link, 'white_spirit 1800 2026-11-25 strip'])
        ->and($lacks(6))
        ->toBe(['chain 4 2026-11-25 few', $link, $link, $link, $link, 'white_spirit 2400 2026-11-25 strip'])
        // A chain that is closed by a pin comes with one.
        ->and($lacks(3, settings: [[SettingKey::ChainJoint, 1, 'pin']]))
        ->toBe(['chain 1 2026-11-25 few', 'white_spirit 600 2026-11-25 strip'])
        // Two spares in the drawer.
        ->and($lacks(5, [new Part(50, PartKind::QuickLink), new Part(51, PartKind::QuickLink)]))
        ->toBe(['chain 3 2026-11-25 few', $link, 'white_spirit 1800 2026-11-25 strip']);
    // The dirty jar does two cleanings more, so one load of three; the clean one does both loads, and a jar of 200 ml is no bath.
    $jar = fn(JarRole $role, float $ml, int $cleanings) => [
        $role->value => new JarState((int) $ml, $role, Solvent::WhiteSpirit, $ml, 1.0, 0, $cleanings, 10, false, null, null),
    ];
    $jars = fn(array ...$all) => array_column(array_merge(...$all), null, 'jarId');
    expect($lacks(6, jars: $jars($jar(JarRole::Dirty, 901.0, 8), $jar(JarRole::Clean, 902.0, 2))))
        ->toContain('white_spirit 300 2026-11-25 strip')
        ->and(implode(' ', $lacks(5, jars: $jars($jar(JarRole::Dirty, 901.0, 8), $jar(JarRole::Clean, 902.0, 2)))))
        ->not->toContain('white_spirit')
        ->and($lacks(5, jars: $jars($jar(JarRole::Dirty, 901.0, 10), $jar(JarRole::Clean, 200.0, 2))))
        ->toContain('white_spirit 1800 2026-11-25 strip');
});

it('buys a chain before the one that wears out leaves too few, within the weeks that are looked at', function (): void {
    // 200 km in the two weeks since the 11th: 100 a week. Both share it; the first goes after 300 · 2 ÷ 100 = 6 weeks, on 6 January, and is
    // bought a fortnight before.
    $wears = fn(float $km, array $terms = []) => toBuy(forecasts: [1 => $km, 2 => 9000.0], terms: $terms);
    expect($wears(300.0))
        ->toBe(['chain 1 2026-12-23 worn', 'quick_link 1 2026-12-23 new_chain'])
        // One more week is past the last day that is planned.
        ->and($wears(350.0))
        ->toBe([])
        ->and($wears(350.0, ['days' => 35]))
        ->toBe([])
        ->and($wears(350.0, ['days' => 36]))
        ->toContain('chain 1 2026-12-30 worn')
        // Of half a kilometre a week two chains with one left last four weeks.
        ->and(toBuy(forecasts: [1 => 1.0, 2 => 9000.0], riddenKm: 1.0))
        ->toContain('chain 1 2026-12-09 worn');
});

it('buys a quick link for one that was closed as often as it may be', function (): void {
    $linked = fn(int $allowed): array => toBuy(
        [[SettingKey::LinkChain, 50, 1], [SettingKey::LinkClosings, 50, $allowed]],
        parts: [new Part(50, PartKind::QuickLink, 1, $allowed)],
        events: [new Opening(60, new Moment((int) strtotime('2026-10-01 08:00 UTC')), 50, 0.0, WaxThen::None, null, 1)],
    );
    expect($linked(1))
        ->toBe(['quick_link 1 2026-11-25 used_up'])
        ->and($linked(2))
        ->toBe([]);
});

it('buys wax for the planned dips that the bath does not do any more, by the evening that needs it', function (): void {
    expect(toBuy(baths: [potFor(1)]))
        ->toBe(['wax 6 2026-12-10 bath_low'])
        ->and(toBuy(baths: [potFor(0)]))
        ->toBe(['wax 12 2026-12-10 bath_low'])
        ->and(toBuy(baths: [potFor(5, BathNext::Replace)]))
        ->toBe(['wax 300 2026-12-10 bath_spent'])
        // A pot that was never filled is not asked.
        ->and(toBuy(baths: [new BathState(8, null, 100.0, 105.0, null), potFor(1)]))
        ->toBe(['wax 6 2026-12-10 bath_low']);
});

it('buys drip wax for the planned top-ups: by the evening before, when the bottles are empty', function (): void {
    // No day for the pot: top-ups of 200 km for the 12th and the 20th, the evening before, each a dose of 5.7 ml.
    $dripped = fn(array $settings = [], array $events = []) => toBuy($settings, events: $events, terms: ['weekdays' => [], 'days' => 26]);
    $bottle = fn(float $leftMl) => [
        [SettingKey::BottleName, 70, 'Winter drip'],
        [SettingKey::BottleVolumeMl, 70, 120],
        [SettingKey::BottleLeftMl, 70, $leftMl, 1],
    ];
    expect($dripped())
        ->toBe(['drip_wax 11.4 2026-12-11 no_bottle'])
        ->and($dripped($bottle(5.0)))
        ->toBe(['drip_wax 120 2026-12-11 bottles_empty'])
        // One dose is left in it; a whole one for both.
        ->and($dripped($bottle(5.7)))
        ->toBe(['drip_wax 120 2026-12-19 bottles_empty'])
        ->and($dripped($bottle(11.4)))
        ->toBe([])
        // At the pace of late it is empty sooner: 10 ml in two weeks, 5 ml left are a week.
        ->and($dripped($bottle(15.0), [new TopUp(80, new Moment((int) strtotime('2026-11-20 20:00 UTC')), 2, 200.0, 10.0, 70)]))
        ->toBe(['drip_wax 120 2026-12-02 bottles_empty']);
    // Two are open: 20 ml in two weeks, and 15 left in both do for ten days, the first for three.
    $dripped10 = fn(int $id, int $bottleId) => new TopUp(
        $id,
        new Moment((int) strtotime('2026-11-20 20:00 UTC'), sequence: $id),
        2,
        100.0,
        10.0,
        $bottleId,
    );
    $other = [[SettingKey::BottleName, 71, 'Spare drip'], [SettingKey::BottleVolumeMl, 71, 60], [SettingKey::BottleLeftMl, 71, 20, 1]];
    expect($dripped([...$bottle(15.0), ...$other], [$dripped10(80, 70), $dripped10(81, 71)]))->toBe([
        'drip_wax 120 2026-12-05 bottles_empty',
    ]);
});
