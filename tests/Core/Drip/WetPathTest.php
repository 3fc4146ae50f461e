<?php

declare(strict_types=1);

use Dripel\Core\Drip\BottleEnd;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripNeeds;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WipeDown;
use Dripel\Core\Logbook\WipeDownKind;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\BookedPot;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WetOption;
use Dripel\Core\Plan\WetPath;
use Dripel\Core\Plan\WorkshopPlan;
use Tests\Core\Next\Asked;

/**
 * A shed in UTC on Wednesday 25 November 2026: chain 1 on bike 1, chain 2 on its hook, both dipped on the 1st. Every Thursday for
 * eight weeks it was ridden 20 km, so the next usual ride is tomorrow.
 */
function wetBook(array $rides = [], array $events = [], array $settings = [], bool $spare = false): Book
{
    $s = fn(string $at): Moment => new Moment((int) strtotime("{$at} UTC"));
    $usual = array_map(
        fn(int $week) => [date('Y-m-d', strtotime('2026-11-19') - 604800 * $week) . ' 10:00', 20.0, Condition::Dry],
        range(8, 4),
    );
    $all = [...$usual, ...$rides];

    return new Book(
        [1],
        [1, 2],
        new Settings([
            new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1),
            new DatedSetting(SettingKey::ChainHome, 2, new Moment(0), 1),
            new DatedSetting(SettingKey::ChainLoad, 2, new Moment(0), 'factory_waxed'),
            ...array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment(0), $one[2]), $settings),
        ]),
        [new Fitting(1, $s('2026-09-01 08:00'), 1, 1)],
        array_map(fn(array $ride, int $n) => new Ride($n + 1, $s($ride[0]), 1, $ride[1], 1.0, $ride[2]), $all, array_keys($all)),
        [
            new Dip(1, $s('2026-11-01 08:00'), 1),
            ...$spare ? [new Dip(2, $s('2026-11-01 08:00'), 2)] : [],
            ...array_map(fn(callable $event) => $event($s), $events),
        ],
    );
}

/** @return array{0: ?WetPath, 1: list<string>} the path of chain 1 and its ways, those in time marked */
function wetPath(Book $book, string $now, ?string $potDone = null): array
{
    [$nowS, $utc] = [(int) strtotime("{$now} UTC"), new DateTimeZone('UTC')];
    $potDoneS = $potDone === null ? null : (int) strtotime("{$potDone} UTC");
    $rail = Rail::all($book, $nowS, $utc)[0];
    $booked = $potDoneS === null ? [] : [new BookedPot($potDoneS - 3600, [1], false)];
    $plan = WorkshopPlan::of($book, [$rail], PlanTerms::of($book, null, $nowS), [], $nowS, $utc, $booked);
    $path = $rail->fitted === null ? null : WetPath::of($rail->fitted, $rail, $plan, $book->settings, $potDoneS, $utc);

    return [$path, array_map(fn(WetOption $one) => $one->way->value . ($one->inTime ? '!' : ''), $path->options ?? [])];
}

it('leads a wet ride through drying to wax again, and Next carries it', function (): void {
    $wet = [['2026-11-25 14:00', 40.0, Condition::Wet]];
    $next = function (Book $book, string $now, array $jobs = []): array {
        $nowS = (int) strtotime("{$now} UTC");

        return array_map(
            fn(NextItem $item) => $item->kind->value .
                ($item->late ? ' late' : '') .
                ($item->byS === null ? '' : ' ' . gmdate('H:i', $item->byS)),
            Asked::oneByOne(Asked::input($book, $nowS, new DateTimeZone('UTC'), $jobs)),
        );
    };
    // Home at 15:00: dry it by the evening. 300 − 2.5·40 = 200 left; 200 more would be 400, so a top-up fills it up to 300.
    $dripped = [fn($s) => new TopUp(6, $s('2026-11-02 19:00'), 1, 200.0)];
    [$path, $ways] = wetPath(wetBook($wet), '2026-11-25 16:00');
    expect([gmdate('H:i:s', $path->dryByS), gmdate('H:i:s', (int) $path->rideEndS)])
        ->toBe(['21:00:00', '15:00:00'])
        ->and($path->driedS)
        ->toBeNull()
        // Overnight it is dry for tomorrow, the first time too: hot wax is on it.
        ->and($ways)
        ->toBe(['topup!', 'dip'])
        ->and($path->options[0]->leftKm)
        ->toBe(300.0)
        ->and(gmdate('d H:i', wetPath(wetBook($wet, $dripped), '2026-11-25 16:00')[0]->options[0]->readyAtS))
        ->toBe('26 02:00')
        ->and($next(wetBook($wet), '2026-11-25 16:00'))
        ->toContain('wet 21:00')
        ->and($next(wetBook($wet), '2026-11-25 22:00'))
        ->toContain('wet late');
    // Late in the evening there is an hour; a chain that hangs ready goes before the bottle; a pot that is planned and in time before it
    // too.
    expect(gmdate('H:i:s', wetPath(wetBook([['2026-11-25 21:00', 10.0, Condition::Muddy]]), '2026-11-25 22:10')[0]->dryByS))
        ->toBe('23:00:00')
        ->and(wetPath(wetBook($wet, $dripped, spare: true), '2026-11-25 16:00')[1])
        ->toBe(['swap!', 'topup!', 'dip'])
        ->and(wetPath(wetBook($wet, $dripped), '2026-11-25 16:00', '2026-11-25 20:00')[1])
        ->toBe(['dip!', 'topup!'])
        ->and(wetPath(wetBook($wet, $dripped), '2026-11-25 16:00', '2026-11-28 20:00')[1])
        ->toBe(['topup!', 'dip']);
    // Dried in the evening, it still wants wax: before tomorrow's ride.
    $dried = [fn($s) => new WipeDown(5, $s('2026-11-25 18:00'), 1, WipeDownKind::Dried)];
    expect(gmdate('H:i', wetPath(wetBook($wet, $dried), '2026-11-25 18:30')[0]->driedS))
        ->toBe('18:00')
        ->and($next(wetBook($wet, $dried), '2026-11-25 18:30'))
        ->toContain('planned_drip')
        ->not->toContain('wet')
        // After the bottle nothing is wet any more.
        ->and(wetPath(wetBook($wet, [...$dried, fn($s) => new TopUp(6, $s('2026-11-25 19:00'), 1, 200.0)]), '2026-11-25 20:00')[0])
        ->toBeNull()
        // While it is being dripped the job speaks for it.
        ->and($next(wetBook($wet, $dried), '2026-11-25 18:30', [new OpenJob('j', 'drip', [1], 'drops', null)]))
        ->toBe(['job']);
});

it('ends the wet with the next ride of the chain: looked at for rust once, then it goes by its wax', function (): void {
    $next = function (Book $book, string $now): array {
        $nowS = (int) strtotime("{$now} UTC");

        return array_map(fn(NextItem $item) => $item->kind->value, Asked::oneByOne(Asked::input($book, $nowS, new DateTimeZone('UTC'))));
    };
    $wet = ['2026-11-05 14:00', 3.0, Condition::Wet];
    $later = [$wet, ['2026-11-12 10:00', 20.0, Condition::Dry], ['2026-11-19 10:00', 20.0, Condition::Dry]];
    // Another ride of the same day does not end it, one of another day does.
    expect($next(wetBook([$wet, ['2026-11-05 18:00', 5.0, Condition::Dry]]), '2026-11-05 20:00'))
        ->toContain('wet')
        ->not->toContain('wet_past')
        ->and($next(wetBook(array_slice($later, 0, 2)), '2026-11-12 12:00'))
        ->toContain('wet_past')
        ->not->toContain('wet')
        ->and($next(wetBook($later), '2026-11-20 12:00'))
        ->not->toContain('wet_past')
        ->not->toContain('wet');
    $state = wetBook($later)->chain(1, (int) strtotime('2026-11-20 12:00 UTC'));
    // 300 − 2.5 · 3 − 40: due by nothing.
    expect($state->dryness->wetRide)
        ->toBeNull()
        ->and($state->dryness->wetPast?->km)
        ->toBe(3.0)
        ->and($state->wax->life?->due())
        ->toBeFalse()
        ->and($state->leftKm())
        ->toBe(252.5)
        ->and($state->status)
        ->toBe(ChainStatus::Ridden);
    // Done with a cloth as asked, it is not asked again; a cloth before that ride saw nothing of it.
    $wiped = fn(string $at) => wetBook(array_slice($later, 0, 2), [fn($s) => new WipeDown(5, $s($at), 1, WipeDownKind::Wiped)]);
    expect($next($wiped('2026-11-12 11:30'), '2026-11-12 12:00'))
        ->not->toContain('wet_past')
        ->and($next($wiped('2026-11-06 08:00'), '2026-11-12 12:00'))
        ->toContain('wet_past');
    // Dried in the evening there is nothing to look for.
    $dried = wetBook($later, [fn($s) => new WipeDown(5, $s('2026-11-05 18:00'), 1, WipeDownKind::Dried)]);
    expect($dried->chain(1, (int) strtotime('2026-11-12 12:00 UTC'))->dryness->wetPast)->toBeNull();
});

it('counts a chain that is setting as a way out of the wet, if it is ready before the next ride', function (): void {
    // Chain 2 was dipped ten minutes ago: ready at 16:05, and tomorrow is ridden.
    $book = wetBook([['2026-11-25 14:00', 40.0, Condition::Wet]], [fn($s) => new Dip(9, $s('2026-11-25 15:50'), 2)]);
    [$path, $ways] = wetPath($book, '2026-11-25 16:00');
    expect($ways[0])->toBe('swap!')->and(gmdate('H:i', $path->options[0]->readyAtS))->toBe('16:05');
});

it('counts the top-ups since the pot, and asks for a cloth after five rides', function (): void {
    $rides = array_map(fn(int $day) => ["2026-11-{$day} 10:00", 10.0, Condition::Dry], range(12, 17));
    $drip = fn(string $at) => fn($s) => new TopUp(7, $s($at), 1, 200.0);
    $kinds = fn(Book $book) => array_map(
        fn(NextItem $item) => $item->kind->value,
        Asked::oneByOne(Asked::input($book, (int) strtotime('2026-11-18 12:00 UTC'), new DateTimeZone('UTC'))),
    );
    expect($kinds(wetBook($rides)))
        ->toContain('wipe')
        ->and($kinds(wetBook($rides, [fn($s) => new WipeDown(5, $s('2026-11-16 18:00'), 1, WipeDownKind::Wiped)])))
        ->not->toContain('wipe')
        ->and($kinds(wetBook($rides, [], [[SettingKey::WipeRides, 0, 0]])))
        ->not->toContain('wipe')
        // The plan counts the top-ups that it had: after two no third one is planned.
        ->and(
            Asked::input(
                wetBook($rides, [$drip('2026-11-13 20:00'), $drip('2026-11-15 20:00')]),
                (int) strtotime('2026-11-18 12:00 UTC'),
                new DateTimeZone('UTC'),
            )->plan->bikes[1]->chains[0]->topUps,
        )
        ->toBe(2);
    // Of a chain that had both its top-ups the bottle is no way out of the wet.
    expect(
        wetPath(
            wetBook([['2026-11-25 14:00', 40.0, Condition::Wet]], [$drip('2026-11-13 20:00'), $drip('2026-11-15 20:00')]),
            '2026-11-25 16:00',
        )[1],
    )->toBe(['dip']);
});

it('keeps a bike that lives on drip wax alone: each drip starts its interval anew, and no pot is asked for', function (): void {
    $alone = [[SettingKey::DripOnly, 1, 1], [SettingKey::IntervalKm, 1, 200.0]];
    $drip = fn(string $at) => fn($s) => new TopUp(7, $s($at), 1, 200.0);
    $book = wetBook(
        [['2026-11-12 10:00', 150.0, Condition::Dry], ['2026-11-20 10:00', 60.0, Condition::Dry]],
        [$drip('2026-11-10 20:00'), $drip('2026-11-14 20:00')],
        $alone,
    );
    $state = $book->chain(1, (int) strtotime('2026-11-25 12:00 UTC'));
    // 200 − 60 since the drip of the 14th.
    expect($state->leftKm())
        ->toBe(140.0)
        ->and($state->wax->topUps)
        ->toBe(0)
        ->and($state->mayTopUp())
        ->toBeTrue()
        ->and($state->leftAfterTopUp())
        ->toBe(200.0);
    // A single chain may live so on a bike that is waxed in the pot, with an interval of its own.
    $one = wetBook([['2026-11-20 10:00', 60.0, Condition::Dry]], [$drip('2026-11-14 20:00')], [[SettingKey::ChainDripKm, 1, 180.0]]);
    expect($one->chain(1, (int) strtotime('2026-11-25 12:00 UTC'))->leftKm())
        ->toBe(120.0)
        ->and($one->terms()->ofChain(2, PHP_INT_MAX)->dripOnly)
        ->toBeFalse();
    $spent = wetBook([['2026-11-20 10:00', 210.0, Condition::Dry]], [$drip('2026-11-14 20:00')], $alone);
    $nowS = (int) strtotime('2026-11-25 12:00 UTC');
    $next = Asked::oneByOne(Asked::input($spent, $nowS, new DateTimeZone('UTC')));
    expect($spent->chain(1, $nowS)->status)
        ->toBe(ChainStatus::Spent)
        ->and($spent->chain(1, $nowS)->wantsPot())
        ->toBeFalse()
        ->and(array_map(fn(NextItem $item) => "{$item->kind->value} {$item->verb?->value}", $next))
        ->toBe(['planned_drip topup']);
});

it('proposes what a chain wants before it is dripped', function (): void {
    $needs = fn(array $rides, array $events = []) => DripNeeds::of(
        ($book = wetBook($rides, $events))->history(1),
        $book->chain(1, (int) strtotime('2026-11-25 12:00 UTC'))->wax,
    );
    $damp = ['2026-11-20 10:00', 30.0, Condition::Damp];
    expect($needs([])->wash)
        ->toBeNull()
        ->and($needs([])->new)
        ->toBeFalse()
        ->and($needs([$damp, ['2026-11-21 10:00', 30.0, Condition::Muddy]])->wash)
        ->toBe(Condition::Muddy)
        // A dry cloth does not take that off.
        ->and($needs([$damp], [fn($s) => new WipeDown(5, $s('2026-11-20 18:00'), 1, WipeDownKind::Dried)])->wash)
        ->toBe(Condition::Damp)
        ->and($needs([$damp], [fn($s) => new TopUp(5, $s('2026-11-19 18:00'), 1, 200.0)])->choices(DripPlace::OnBike, ExcessSchool::Leave))
        ->toEqual(new DripChoices(DripPlace::OnBike, true, true, 1, ExcessSchool::Leave));
});

it('knows since when a bottle gives no dose any more: thrown away, or dripped or seen empty last', function (): void {
    $set = fn(SettingKey $key, int $id, mixed $value, string $on = '2026-09-01') => new DatedSetting(
        $key,
        $id,
        new Moment((int) strtotime("{$on} UTC")),
        $value,
    );
    $bottle = fn(int $id, float $ml) => [$set(SettingKey::BottleName, $id, "Bottle {$id}"), $set(SettingKey::BottleVolumeMl, $id, $ml)];
    $book = new Book(
        [1],
        [1],
        new Settings([
            ...$bottle(8, 60.0),
            ...$bottle(9, 60.0),
            ...$bottle(10, 10.0),
            ...$bottle(11, 10.0),
            $set(SettingKey::BottleGone, 9, 1, '2026-10-02'),
            $set(SettingKey::BottleLeftMl, 10, 6.0, '2026-11-10'),
            $set(SettingKey::BottleLeftMl, 11, 0.0, '2026-11-12'),
        ]),
        [],
        [],
        [
            new TopUp(1, new Moment((int) strtotime('2026-11-11 UTC')), 1, 200.0, 6.0, 10),
            new TopUp(2, new Moment((int) strtotime('2026-11-11 UTC')), 1, 200.0, 6.0, 11),
        ],
    );
    expect(
        array_map(
            fn(BottleEnd $end) => [gmdate('Y-m-d', $end->atS), $end->emptied],
            BottleState::ends($book, (int) strtotime('2026-11-25 UTC')),
        ),
    )->toBe([9 => ['2026-10-02', false], 10 => ['2026-11-11', true], 11 => ['2026-11-12', true]]);
});

it('keeps account of the bottles and says when they run out, by hand', function (): void {
    $nowS = (int) strtotime('2026-11-25 12:00 UTC');
    $bottle = fn(int $id, float $ml, ?string $opened) => [
        [SettingKey::BottleName, $id, "Bottle {$id}"],
        [SettingKey::BottleVolumeMl, $id, $ml],
        [SettingKey::BottleOpenedOn, $id, $opened],
    ];
    $drip = fn(string $at, float $ml, int $id) => fn($s) => new TopUp(7, $s($at), 1, 200.0, $ml, $id);
    $settings = [
        ...$bottle(8, 120.0, null),
        ...$bottle(9, 60.0, '2026-09-01'),
        ...$bottle(10, 50.0, '2026-09-01'),
        [SettingKey::BottleGone, 10, 1],
    ];
    $of = fn(array $events, array $more = []) => array_map(
        fn(BottleState $one) => [$one->bottleId, round($one->leftMl, 3), $one->given, $one->emptyOn],
        BottleState::all(wetBook([], $events, [...$settings, ...$more]), $nowS),
    );
    // Nothing dripped yet: no pace. The one that is open comes first; the one that was thrown away is no more.
    expect($of([]))->toBe([[9, 60.0, 0, null], [8, 120.0, 0, null]]);
    // 5 + 5 ml since the first of them 20 days ago: 0.5 ml a day, so 50 ml last 100 days, and the shut one 240 after it.
    $two = [$drip('2026-11-05 12:00', 5.0, 9), $drip('2026-11-15 12:00', 5.0, 9)];
    expect($of($two))
        ->toBe([[9, 50.0, 2, '2027-03-05'], [8, 120.0, 0, '2027-10-31']])
        // Somebody looked on the 10th and saw 30: only what was dripped since comes off.
        ->and(
            BottleState::all(
                new Book(
                    [1],
                    [1, 2],
                    new Settings([
                        ...array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment(0), $one[2]), $settings),
                        new DatedSetting(SettingKey::BottleLeftMl, 9, new Moment((int) strtotime('2026-11-10 UTC')), 30.0),
                    ]),
                    [],
                    [],
                    array_map(fn($event) => $event(fn(string $at) => new Moment((int) strtotime("{$at} UTC"))), $two),
                ),
                $nowS,
            )[0]->leftMl,
        )
        ->toBe(25.0);
});
