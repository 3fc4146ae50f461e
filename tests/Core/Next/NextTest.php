<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathLedgerResult;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Explain\ChainFigures;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\NextList;
use Dripel\Core\Next\NextPart;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\SwapOfPlan;
use Dripel\Core\Next\Verb;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\RidingHabit;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;
use Tests\Core\Next\Asked;

/** One bike, chains 1 (on it) and 2; now is Wednesday 25 November 2026, 12:00 in Amsterdam. */
function zone(): DateTimeZone
{
    return new DateTimeZone('Europe/Amsterdam');
}
function clockAt(string $local): int
{
    return (new DateTimeImmutable($local, zone()))->getTimestamp();
}
/** @param list<array{string, float, 2?: Condition}> $rides local time, km, condition */
function oneBike(array $rides, string $dipped, ?string $otherDipped = null, array $settings = []): Book
{
    $n = 0;

    return new Book(
        [1],
        [1, 2],
        new Settings([
            new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1),
            new DatedSetting(SettingKey::ChainHome, 2, new Moment(0), 1),
            // What was never dipped came waxed.
            new DatedSetting(SettingKey::ChainLoad, 2, new Moment(0), 'factory_waxed'),
            ...array_map(fn(array $s) => new DatedSetting($s[0], $s[2] ?? 1, new Moment(0), $s[1]), $settings),
        ]),
        [new Fitting(1, new Moment(clockAt('2026-08-01 08:00')), 1, 1)],
        array_map(function (array $ride) use (&$n) {
            return new Ride(++$n, new Moment(clockAt($ride[0])), 1, $ride[1], 1.0, $ride[2] ?? Condition::Dry);
        }, $rides),
        array_filter([
            new Dip(1, new Moment(clockAt($dipped)), 1),
            $otherDipped === null ? null : new Dip(2, new Moment(clockAt($otherDipped)), 2),
        ]),
    );
}
/** Every Saturday 50 and Sunday 80 for so many weeks, the last of them the weekend of 21 November. */
function weekends(int $weeks): array
{
    $rides = [];
    for ($w = $weeks - 1; $w >= 0; $w--) {
        $rides[] = [date('Y-m-d', strtotime('2026-11-21') - 7 * 86400 * $w) . ' 09:00', 50.0];
        $rides[] = [date('Y-m-d', strtotime('2026-11-22') - 7 * 86400 * $w) . ' 09:00', 80.0];
    }

    return $rides;
}
/** @return list<array{string, string|null, bool}> kind, date, late */
function nextOf(Book $book, string $now = '2026-11-25 12:00'): array
{
    $nowS = clockAt($now);

    return array_map(
        fn(NextItem $item) => [$item->kind->value, $item->date, $item->late],
        Asked::oneByOne(Asked::input($book, $nowS, zone())),
    );
}

it('knows local days, also the short and the long one', function (): void {
    $spring = LocalDay::named('2026-03-29', zone());
    expect($spring->endS() - $spring->startS() + 1)
        ->toBe(23 * 3600)
        ->and(LocalDay::named('2026-10-25', zone())->plus(1)->startS() - LocalDay::named('2026-10-25', zone())->startS())
        ->toBe(25 * 3600)
        ->and(LocalDay::of(clockAt('2026-03-29 23:59:59'), zone())->date)
        ->toBe('2026-03-29')
        ->and($spring->weekday())
        ->toBe(7)
        ->and($spring->plus(-1)->date)
        ->toBe('2026-03-28');
});

it('learns the usual rides of the last eight weeks', function (): void {
    $book = oneBike([...weekends(9), ['2026-11-18 18:00', 10.0]], '2026-11-24 20:00');
    $habit = RidingHabit::of($book->ridesOf(1), $book->settings, clockAt('2026-11-25 12:00'), zone());
    expect($habit->usualKm)
        ->toBe([6 => 50.0, 7 => 80.0])
        ->and($habit->weeklyKm)
        ->toEqualWithDelta((8 * 130 + 10) / 8, 1e-9);
    $few = RidingHabit::of(oneBike(weekends(3), '2026-11-24 20:00')->ridesOf(1), $book->settings, clockAt('2026-11-25 12:00'), zone());
    expect($few->usualKm)
        ->toBe([])
        ->and($few->weeklyKm)
        ->toBeGreaterThan((130 * 3) / 3 - 30);
});

it('says until when the wax is good', function (Book $book, ?string $date, ?float $short, ?float $shortHours = null): void {
    $until = Asked::input($book, clockAt('2026-11-25 12:00'), zone())->plan->rails[0]->goodUntil;
    expect($until?->date)->toBe($date);
    foreach ([[$until?->shortKm, $short], [$until?->shortHours, $shortHours]] as [$is, $expected]) {
        $expected === null ? expect($is)->toBeNull() : expect($is)->toEqualWithDelta($expected, 1e-9);
    }
})->with([
    // 120 km in the 20.625 days since the first ride are 40.7 a week; 300 km last 51 whole days at that.
    // 300 km: two weekends take 260, the third Saturday asks 50 of the 40 left.
    'by usual rides' => [fn() => oneBike(weekends(8), '2026-11-24 20:00'), '2026-12-12', 10.0],
    'short of the next Sunday' => [fn() => oneBike(weekends(8), '2026-11-14 20:00'), '2026-11-29', 40.0],
    'by weekly distance' => [
        fn() => oneBike([['2026-11-04 09:00', 70.0], ['2026-11-20 09:00', 50.0]], '2026-11-24 20:00'),
        '2027-01-15',
        null,
    ],
    'no rides' => [fn() => oneBike([], '2026-11-24 20:00'), null, null],
    'hours run out first' => [
        fn() => oneBike(weekends(8), '2026-11-24 20:00', settings: [[SettingKey::IntervalHours, 2]]),
        '2026-12-05',
        null,
        (50.0 * 2) / 130,
    ],
    // Two hours a weekend: the third Saturday asks more than the tenth of an hour that is left, whatever its km.
    'by hours alone' => [
        fn() => oneBike(weekends(8), '2026-11-24 20:00', settings: [[SettingKey::IntervalKm, null], [SettingKey::IntervalHours, 4.1]]),
        '2026-12-12',
        null,
        (50.0 * 2) / 130 - 0.1,
    ],
    'the chain with no wax left' => [fn() => oneBike(weekends(8), '2026-10-02 20:00'), '2026-11-28', 50.0],
]);

it('asks for what comes next, in order of its day', function (Book $book, array $expected): void {
    expect(nextOf($book))->toBe($expected);
})->with([
    'nothing, all waxed' => [fn() => oneBike([], '2026-11-24 20:00', '2026-11-24 20:00'), []],
    'the other chain before the ride that outruns the wax' => [
        fn() => oneBike(weekends(8), '2026-11-14 20:00', '2026-11-24 20:00'),
        [['outrun', '2026-11-29', false]],
    ],
    'no waxed chain for it: the pot the evening before' => [
        fn() => oneBike(weekends(8), '2026-11-14 20:00'),
        [['planned_pot', '2026-11-28', false]],
    ],
    'none but a chain for other sprockets: nobody is sent to fit it' => [
        fn() => oneBike(weekends(8), '2026-11-14 20:00', '2026-11-24 20:00', [
            [SettingKey::BikeSpeeds, 9],
            [SettingKey::ChainSpeeds, 9],
            [SettingKey::ChainSpeeds, 12, 2],
        ]),
        [['planned_pot', '2026-11-28', false], ['buy', '2026-11-25', false]],
    ],
    'overdue, with one to swap to' => [
        fn() => oneBike(weekends(8), '2026-10-30 20:00', '2026-11-24 20:00'),
        [['overdue', '2026-11-28', false], ['planned_pot', '2026-12-06', false]],
    ],
    'wet yesterday' => [
        fn() => oneBike([['2026-11-24 09:00', 20.0, Condition::Wet]], '2026-11-20 20:00', '2026-11-24 20:00'),
        [['wet', '2026-11-25', true]],
    ],
    'wet today' => [
        fn() => oneBike([['2026-11-25 09:00', 20.0, Condition::Muddy]], '2026-11-20 20:00', '2026-11-24 20:00'),
        [['wet', '2026-11-25', false]],
    ],
    'a ride before any chain was on' => [
        fn() => oneBike([['2026-07-31 09:00', 20.0]], '2026-11-24 20:00', '2026-11-24 20:00'),
        [['no_chain', '2026-11-25', false]],
    ],
]);

it('puts the swap of an evening after the ride of its day, and says what that leaves', function (
    string $now,
    string $date,
    bool $afterRide,
    float $offKm,
): void {
    $in = Asked::input(oneBike(weekends(8), '2026-11-14 20:00', '2026-11-24 20:00'), clockAt($now), zone());
    $swap = Asked::oneByOne($in)[0]->about;
    assert($swap instanceof SwapOfPlan);
    expect([$swap->date, $swap->afterRide])
        ->toBe([$date, $afterRide])
        ->and($swap->day->offKm)
        ->toEqualWithDelta($offKm, 1e-9);
})->with([
    // 90 km are left; 50 and 80 km of a weekend take a tenth more with the reserve.
    'of another evening' => ['2026-11-27 12:00', '2026-11-29', false, 35.0],
    'of this evening' => ['2026-11-28 12:00', '2026-11-29', true, 35.0],
    'put off where nobody rode' => ['2026-11-28 19:00', '2026-12-05', false, 2.0],
]);

it('asks to add the chain of a ride where none is known, and to choose it where there is one', function (): void {
    $ride = new Ride(1, new Moment(clockAt('2026-11-24 09:00')), 1, 30.0, null, Condition::Dry);
    $hung = new Settings([new DatedSetting(SettingKey::ChainHome, 2, new Moment(0), 1)]);
    $verbs = fn(Book $book) => array_map(
        fn(NextItem $item) => [$item->kind, $item->verb],
        Asked::oneByOne(Asked::input($book, clockAt('2026-11-25 12:00'), zone())),
    );
    expect($verbs(new Book([1], [], new Settings([]), [], [$ride], [])))
        ->toBe([[NextKind::NoChain, Verb::Add]])
        ->and($verbs(new Book([1], [2], $hung, [], [$ride], [new Dip(1, new Moment(clockAt('2026-11-20 20:00')), 2)])))
        ->toBe([[NextKind::NoChain, Verb::Fit]]);
});

it('explains what is left so that it can be recomputed line by line', function (): void {
    $book = oneBike([...weekends(2), ['2026-11-23 18:00', 12.0, Condition::Damp]], '2026-11-13 20:00');
    $why = (new ChainFigures($book->chain(1, clockAt('2026-11-25 12:00')), $book->settings))->all()[0];
    $left = array_sum(array_map(fn($line) => $line->value, $why->lines));
    expect($why->figure)
        ->toBe('left')
        ->and($why->value)
        ->toEqualWithDelta($left, 1e-9)
        ->toEqualWithDelta(300 - 260 - 18, 1e-9);
});

it(
    'puts steel that is about to rust before everything, lets a job speak for its chains, and names jars that want something',
    function (): void {
        $nowS = clockAt('2026-11-25 12:00');
        // Chain 1 is on the bike and overdue; chain 2 was stripped so many hours ago.
        $bare = fn(float $hoursAgo) => new Book(
            [1],
            [1, 2],
            new Settings([
                new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1),
                new DatedSetting(SettingKey::ChainHome, 2, new Moment(0), 1),
            ]),
            [new Fitting(1, new Moment(clockAt('2026-08-01 08:00')), 1, 1)],
            [new Ride(1, new Moment(clockAt('2026-11-20 09:00')), 1, 310.0, 9.0, Condition::Dry)],
            [new Dip(1, new Moment(clockAt('2026-08-01 07:00')), 1), new Strip(1, new Moment($nowS - (int) (3600 * $hoursAgo)), 2)],
        );
        $next = fn(float $hoursAgo, array $jobs = [], array $jars = []) => array_map(
            fn(NextItem $item) => $item->kind->value .
                ($item->urgent ? '!' : '') .
                ($item->byS === null ? '' : ' ' . (new DateTimeImmutable("@{$item->byS}"))->setTimezone(zone())->format('H:i')),
            Asked::oneByOne(Asked::input($bare($hoursAgo), $nowS, zone(), $jobs, ['jars' => $jars])),
        );
        // Chain 1 is ridden out: drip at once, and the pot at the weekend. No pot of the plan is hot before chain 2 rusts.
        $plan = ['planned_drip', 'planned_pot'];
        expect($next(8))
            ->toBe(['bare 16:00', ...$plan])
            // The last quarter of twelve hours.
            ->and($next(9))
            ->toBe(['bare! 15:00', ...$plan])
            ->and($next(13))
            ->toBe(['bare! 11:00', ...$plan]);

        // While it dries in a job nobody is sent to the pot with it; the job waits for somebody, or until its rest is over.
        $job = fn(?int $dueS) => [new OpenJob('j', 'strip', [2], 'dry', $dueS)];
        expect($next(8, $job(null)))
            ->toBe(['job', ...$plan])
            ->and($next(8, $job(clockAt('2026-11-25 13:30'))))
            ->toBe(['job 13:30', ...$plan])
            ->and($next(8, $job(clockAt('2026-11-25 11:30'))))
            ->toBe(['job', ...$plan])
            ->and($next(10, $job(null)))
            ->toBe(['job!', ...$plan]);

        $jar = fn(int $cleanings, ?int $settlingS) => new JarState(
            3,
            JarRole::Dirty,
            Solvent::WhiteSpirit,
            500.0,
            20.0,
            0,
            $cleanings,
            10,
            false,
            $settlingS,
            null,
        );
        expect($next(8, [], [$jar(9, null)]))
            ->not->toContain('jar_spent')
            ->and($next(8, [], [$jar(10, null)]))
            ->toContain('jar_spent')
            // 48 hours after it was left to stand, from the morning of that day on.
            ->and($next(8, [], [$jar(9, clockAt('2026-11-23 18:00'))]))
            ->toContain('jar_settled')
            ->and($next(8, [], [$jar(9, clockAt('2026-11-24 18:00'))]))
            ->not->toContain('jar_settled');
    },
);

/** The list as kinds, each with its bike, chains and day. @return list<string> */
function namedNext(Book $book, string $now = '2026-11-25 12:00', array $jobs = [], array $baths = [], int $ridesIn = 0): array
{
    $nowS = clockAt($now);

    return array_map(
        fn(NextItem $item) => trim(
            sprintf(
                '%s %s %s %s %s',
                $item->kind->value,
                $item->bikeId ?? '-',
                implode('+', array_map(fn($chain) => $chain->chainId, $item->chains)) ?: '-',
                $item->date ?? 'any day',
                ($item->late ? 'late' : '') . ($item->urgent ? 'urgent' : ''),
            ),
        ),
        Asked::oneByOne(Asked::input($book, $nowS, zone(), $jobs, ['baths' => $baths, 'ridesIn' => $ridesIn])),
    );
}

it('asks to wipe a chain after so many rides, as long as its wax lasts, and never where nobody wants to', function (): void {
    $rides = fn(int $count, float $km = 10.0) => array_map(
        fn(int $n) => ['2026-11-' . str_pad((string) (10 + $n), 2, '0', STR_PAD_LEFT) . ' 09:00', $km],
        range(1, $count),
    );
    $wipes = fn(Book $book) => array_values(array_filter(namedNext($book), fn(string $line) => str_starts_with($line, 'wipe')));
    expect($wipes(oneBike($rides(4), '2026-11-01 08:00', '2026-11-01 08:00')))
        ->toBe([])
        ->and($wipes(oneBike($rides(5), '2026-11-01 08:00', '2026-11-01 08:00')))
        ->toBe(['wipe 1 1 any day'])
        // Done with its wax it goes into the pot.
        ->and($wipes(oneBike($rides(5, 70.0), '2026-11-01 08:00', '2026-11-01 08:00')))
        ->toBe([]);
    $never = new Book(
        [1],
        [1],
        new Settings([
            new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1),
            new DatedSetting(SettingKey::WipeRides, 0, new Moment(0), 0),
        ]),
        [new Fitting(1, new Moment(clockAt('2026-08-01 08:00')), 1, 1)],
        array_map(fn(int $n) => new Ride($n, new Moment(clockAt("2026-11-{$n} 09:00")), 1, 5.0, null, Condition::Dry), range(11, 20)),
        [new Dip(1, new Moment(clockAt('2026-11-01 08:00')), 1)],
    );
    expect($wipes($never))->toBe([]);
});

it('is the first days of the plan: drip, pot and swap of an evening as one line, in the order in which it is done', function (): void {
    // 1 has 40 of 300 km left for Saturday's 50; 2 hangs spent after 310. The pot is hot at weekends.
    $spent = [...array_map(fn(int $n) => ['2026-09-' . (10 + $n) . ' 09:00', 62.0], range(1, 5))];
    $book = fn(array $weekdays) => new Book(
        [1],
        [1, 2],
        new Settings([
            new DatedSetting(SettingKey::PlanWeekdays, 0, new Moment(0), $weekdays),
            ...array_map(fn(int $chain) => new DatedSetting(SettingKey::ChainHome, $chain, new Moment(0), 1), [1, 2]),
        ]),
        [new Fitting(1, new Moment(clockAt('2026-08-01 08:00')), 1, 2), new Fitting(2, new Moment(clockAt('2026-09-20 08:00')), 1, 1)],
        array_map(
            fn(array $ride, int $n) => new Ride($n, new Moment(clockAt($ride[0])), 1, $ride[1], 1.0, Condition::Dry),
            [...$spent, ...weekends(8)],
            range(1, 21),
        ),
        [new Dip(1, new Moment(clockAt('2026-08-01 07:00')), 2), new Dip(2, new Moment(clockAt('2026-11-10 07:00')), 1)],
    );
    // No pot before Saturday: the bottle bridges, and the pot comes when the plan has it.
    expect(namedNext($book([6, 7])))->toBe(['planned_drip 1 1 2026-11-27', 'planned_pot - 1+2 2026-12-05']);
    // On Wednesdays and Fridays it is hot this Friday, and the cold chain goes in with the other: nothing is left to bridge or to swap.
    expect(namedNext($book([3, 5])))->toBe(['planned_pot - 1+2 2026-11-27']);
    // A pot day that somebody accepted speaks for itself, and its chains are not asked for again.
    $accepted = [new OpenJob('j', OpenJob::POT_DAY, [2], 'prepare', clockAt('2026-11-27 19:00'), true)];
    expect(namedNext($book([3, 5]), jobs: $accepted)[0])->toBe('job 1 2 2026-11-27');
});

it('puts what is alike into one line, and what any day will do for into the next evening at the bench', function (): void {
    $rides = array_map(fn(int $n) => ['2026-11-' . (10 + $n) . ' 09:00', 10.0], range(1, 6));
    $in = fn(array $settings) => Asked::input(
        oneBike($rides, '2026-11-01 08:00', '2026-11-01 08:00', $settings),
        clockAt('2026-11-25 12:00'),
        zone(),
    );
    // Nothing at the bench for a while: the cloth is for any day.
    $wipe = array_values(array_filter(NextList::of($in([])), fn(NextItem $one) => $one->kind === NextKind::Wipe));
    expect([$wipe[0]->part(), $wipe[0]->evening])->toBe([NextPart::AnyDay, null]);
    // 30 km left, 4.8 a day with the margin: six days. The swap for the seventh is on the evening before, and the cloth goes with it.
    $evening = array_values(
        array_filter(NextList::of($in([[SettingKey::IntervalKm, 90.0]])), fn(NextItem $one) => $one->kind === NextKind::Evening),
    )[0];
    expect(array_map(fn(NextItem $step) => $step->kind, $evening->steps))
        ->toBe([NextKind::Wipe, NextKind::Outrun])
        ->and(array_unique(array_map(fn(NextItem $step) => $step->evening, $evening->steps)))
        ->toBe(['2026-11-30'])
        ->and([$evening->part(), $evening->minutes, $evening->verb])
        ->toBe([NextPart::Bench, 5.0, null]);
    $items = [
        new NextItem(NextKind::Measure, 1, [], null, Verb::Measure, minutes: 5.0),
        new NextItem(NextKind::Measure, 2, [], null, Verb::Measure, late: true, minutes: 5.0),
    ];
    $group = NextItem::group(NextKind::Measure, $items);
    expect([$group->minutes, $group->late, $group->verb, count($group->steps), $group->part()])->toBe([
        10.0,
        true,
        null,
        2,
        NextPart::AnyDay,
    ]);
    // Chains that are stripped go through the jars together.
    $strip = new NextItem(NextKind::Strip, 1, [], null, Verb::Strip, minutes: 35.0);
    expect(NextItem::group(NextKind::Chores, [$strip, $items[0], $strip])->minutes)->toBe(40.0);
    // What is done at the bench is told at the pot too: an evening whole, of small things those, and no ride without a bike.
    $item = fn(NextKind $kind, ?string $evening = null, ?Verb $verb = null) => new NextItem($kind, 1, [], null, $verb, evening: $evening);
    $chores = NextItem::group(NextKind::Chores, [
        $item(NextKind::NoBike),
        $item(NextKind::JarSpent),
        $item(NextKind::Commute),
        $item(NextKind::Bath),
    ]);
    $kinds = fn(NextItem $one): array => array_map(fn(NextItem $at) => $at->kind, $one->benchWork());
    expect([
        $kinds($item(NextKind::Wipe, '2026-11-30')),
        $kinds($item(NextKind::Wipe)),
        $kinds($item(NextKind::Bare)),
        $kinds($item(NextKind::Overdue, verb: Verb::PotDay)),
        $kinds($item(NextKind::Overdue, verb: Verb::Swap)),
        $kinds($chores),
    ])->toBe([[NextKind::Wipe], [], [NextKind::Bare], [NextKind::Overdue], [], [NextKind::JarSpent, NextKind::Bath]]);
});

it('asks for rides that came in, for a bath that wants something, for rides without a bike or a chain, each once', function (): void {
    $bath = fn(BathNext $next) => new BathState(
        9,
        new BathLedgerResult(300.0, 0.0, 40, 45.0, true, false, 12, 1.0, 85.0, false, $next, 6.0, 260.0, false),
        100.0,
        105.0,
        0,
    );
    $idle = new Book(
        [1, 2],
        [1],
        new Settings([new DatedSetting(SettingKey::ChainHome, 1, new Moment(0), 1)]),
        [new Fitting(1, new Moment(clockAt('2026-11-20 08:00')), 1, 1)],
        [
            new Ride(1, new Moment(clockAt('2026-11-22 09:00')), null, 30.0, null, Condition::Dry),
            new Ride(2, new Moment(clockAt('2026-11-18 09:00')), 1, 30.0, null, Condition::Dry),
            new Ride(3, new Moment(clockAt('2026-11-19 09:00')), 1, 30.0, null, Condition::Dry),
            new Ride(4, new Moment(clockAt('2026-11-19 09:00')), 2, 30.0, null, Condition::Dry),
        ],
        [new Dip(1, new Moment(clockAt('2026-11-01 08:00')), 1)],
    );
    $lines = namedNext($idle, baths: [$bath(BathNext::Ok), $bath(BathNext::Filter)], ridesIn: 3);
    expect(array_values(array_filter($lines, fn(string $line) => preg_match('/^(no_|rides_in|bath)/', $line) === 1)))
        ->toEqualCanonicalizing([
            'no_bike - - 2026-11-25',
            'no_chain 1 - 2026-11-25',
            'no_chain 2 - 2026-11-25',
            'rides_in - - 2026-11-25',
            'bath - - any day',
        ])
        ->and(implode(' ', namedNext($idle)))
        ->not->toContain('rides_in')
        ->not->toContain('bath ');
});
