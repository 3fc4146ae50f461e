<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\WipeDown;
use Dripel\Core\Logbook\WipeDownKind;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\WaitingFiles;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;
use Tests\Core\Next\Asked;

/** An instant of November 2026, UTC. */
function ofNovember(string $at): int
{
    return (int) strtotime("2026-11-{$at} UTC");
}

/**
 * What Next says of one bike with chain 1 on it since the 1st, waxed then, and chain 2 on its rail.
 *
 * @param list<object> $events
 * @param list<array{string, float, 2?: Condition, 3?: Precision}> $rides day, km
 * @param array<string, mixed> $with settings of the chain, by SettingKey
 * @param array<string, mixed> $more of NextInput
 *
 * @return list<NextItem>
 */
function askedOn(string $now, array $events = [], array $rides = [], array $with = [], array $more = []): array
{
    $set = fn(SettingKey $key, int $subject, mixed $value): DatedSetting => new DatedSetting($key, $subject, new Moment(0), $value);
    $settings = [
        $set(SettingKey::ChainHome, 1, 5),
        $set(SettingKey::ChainHome, 2, 5),
        $set(SettingKey::ChainLoad, 2, 'factory_waxed'),
        $set(SettingKey::ChainsWanted, 5, 1),
    ];
    foreach ($with as $key => $value) {
        $settings[] = $set(SettingKey::from($key), str_starts_with($key, 'chain.') ? 2 : (str_starts_with($key, 'bike.') ? 5 : 0), $value);
    }
    $book = new Book(
        [5],
        [1, 2],
        new Settings($settings),
        [new Fitting(1, new Moment(ofNovember('1 08:00')), 5, 1)],
        array_map(
            fn(array $ride, int $n) => new Ride(
                $n + 1,
                new Moment(ofNovember($ride[0]), $ride[3] ?? Precision::Minute),
                5,
                $ride[1],
                null,
                $ride[2] ?? Condition::Dry,
            ),
            $rides,
            array_keys($rides),
        ),
        [new Dip(90, new Moment(ofNovember('1 07:00')), 1), ...$events],
    );
    $nowS = ofNovember($now);
    $zone = new DateTimeZone('UTC');

    return Asked::oneByOne(Asked::input($book, $nowS, $zone, $more['jobs'] ?? [], array_diff_key($more, ['jobs' => 0])));
}

/** @return list<string> "kind day hour late urgent" */
function asLines(array $items): array
{
    return array_map(
        fn(NextItem $one) => trim(
            preg_replace(
                '/ +/',
                ' ',
                sprintf(
                    '%s %s %s %s %s',
                    $one->kind->value,
                    $one->date === null ? 'any' : substr($one->date, 8),
                    $one->byS === null ? '' : gmdate('H:i', $one->byS),
                    $one->late ? 'late' : '',
                    $one->urgent ? 'urgent' : '',
                ),
            ),
        ),
        $items,
    );
}

it('counts down bare steel: by its hour, on its day, and late it stays of today', function (string $now, array $expected): void {
    expect(asLines(askedOn($now, [new Strip(91, new Moment(ofNovember('20 20:00')), 2)])))->toBe($expected);
})->with([
    'in the evening: tomorrow morning' => ['20 21:00', ['bare 21 08:00']],
    'soon' => ['21 07:30', ['bare 21 08:00 urgent']],
    'late' => ['21 09:00', ['bare 21 08:00 late urgent']],
    'very late' => ['23 09:00', ['bare 23 08:00 late urgent']],
]);

it('puts a chain that is kept for an event into a pot in time for it, and asks for it by the event where none is', function (): void {
    $kept = ['chain.event' => 'the crossing', 'chain.event_on' => '2026-11-28', 'chain.dipped_after' => '2026-11-20'];
    $dipped = fn(string $at) => [new Dip(91, new Moment(ofNovember($at)), 2)];
    // Sunday noon: this evening's pot is after the 20th and before the 28th.
    $pots = fn(array $items) => array_map(
        fn(NextItem $one) => $one->date . ':' . implode('+', array_map(fn($chain) => $chain->chainId, $one->chains)),
        array_values(array_filter($items, fn(NextItem $one) => $one->kind === NextKind::PlannedPot)),
    );
    expect($pots(askedOn('22 12:00', $dipped('10 12:00'), with: $kept)))
        ->toBe(['2026-11-22:2'])
        ->and($pots(askedOn('22 12:00', $dipped('21 12:00'), with: $kept)))
        ->toBe([])
        // On Monday no pot is to be hot before it any more; on a Friday it would be.
        ->and(asLines(askedOn('23 12:00', $dipped('10 12:00'), with: $kept)))
        ->toBe(['event_dip 28'])
        ->and($pots(askedOn('23 12:00', $dipped('10 12:00'), with: [...$kept, 'plan.weekdays' => [5]])))
        ->toBe(['2026-11-27:2'])
        // In the pot just now it is not asked for.
        ->and(
            asLines(
                askedOn('23 12:00', $dipped('10 12:00'), with: $kept, more: ['jobs' => [new OpenJob('j', 'pot_day', [2], 'in', null)]]),
            ),
        )
        ->not->toContain('event_dip 28');
});

it('reminds of what costs something to wait for, on its day and after', function (
    NextKind $kind,
    ?string $date,
    bool $reminds,
    ?string $evening = null,
): void {
    expect((new NextItem($kind, 1, [], $date, null, evening: $evening))->reminds('2026-11-25'))->toBe($reminds);
})->with([
    [NextKind::Bare, '2026-11-25', true],
    [NextKind::Bare, '2026-11-24', true],
    [NextKind::Bare, '2026-11-26', false],
    [NextKind::Bare, null, true],
    [NextKind::Wet, '2026-11-25', true],
    [NextKind::EventDip, '2026-11-25', true],
    [NextKind::Evening, '2026-11-25', true, '2026-11-25'],
    [NextKind::PlannedPot, '2026-11-26', false, '2026-11-26'],
    [NextKind::Measure, '2026-11-25', false],
    [NextKind::Wipe, null, false],
]);

it('asks for a dry cloth after so many rides, while there is wax', function (int $rides, mixed $after, array $events, bool $asked): void {
    $ridden = array_map(fn(int $n) => [2 + $n . ' 10:00', 10.0], range(1, $rides));
    expect(
        in_array(
            'wipe any',
            asLines(askedOn('25 12:00', $events, $ridden, $after === null ? [] : ['workshop.wipe_rides' => $after])),
            true,
        ),
    )->toBe($asked);
})->with([
    'two rides, after three' => [2, 3, [], false],
    'three rides' => [3, 3, [], true],
    'not wanted' => [9, 0, [], false],
    'wiped since' => [4, 3, [new WipeDown(95, new Moment(ofNovember('5 20:00')), 1, WipeDownKind::Wiped)], false],
    'after one' => [1, 1, [], true],
]);

it('carries a wet chain until it is dry, on the bike for ever, on its hook for a day; then the plan has it', function (): void {
    $wet = [['20 10:00', 30.0, Condition::Wet]];
    expect(asLines(askedOn('20 15:00', rides: $wet)))
        ->toBe(['wet 20 21:00'])
        ->and(asLines(askedOn('20 23:00', rides: $wet)))
        ->toBe(['wet 20 late'])
        ->and(asLines(askedOn('25 12:00', rides: $wet)))
        ->toBe(['wet 25 late', 'planned_pot 06']);
    // Ridden on undried: look for rust, that day and the next.
    $on = [...$wet, ['22 10:00', 10.0]];
    expect(asLines(askedOn('22 15:00', rides: $on)))
        ->toContain('wet_past 22')
        ->and(asLines(askedOn('23 15:00', rides: $on)))
        ->toContain('wet_past 23')
        ->and(asLines(askedOn('24 15:00', rides: $on)))
        ->not->toContain('wet_past 24');
    // Dried, it wants wax before the next ride, though nobody knows when that is.
    expect(asLines(askedOn('20 20:00', [new WipeDown(95, new Moment(ofNovember('20 16:00')), 1, WipeDownKind::Dried)], $wet)))->toBe([
        'overdue 20',
    ]);
});

it('looks after jars and baths, with no day unless something is ready', function (): void {
    $jar = fn(int $id, int $cleanings, ?int $settlingS = null): JarState => new JarState(
        $id,
        JarRole::Dirty,
        Solvent::WhiteSpirit,
        500.0,
        0.0,
        0,
        $cleanings,
        10,
        false,
        $settlingS,
        null,
    );
    $settledAt = fn(string $at): int => ofNovember($at) - 48 * 3600;
    expect(
        asLines(
            askedOn(
                '25 12:00',
                more: ['jars' => [$jar(1, 10), $jar(2, 3), $jar(3, 3, $settledAt('25 23:59:59')), $jar(4, 3, $settledAt('26 00:00'))]],
            ),
        ),
    )
        ->toBe(['jar_settled 25', 'jar_spent any'])
        ->and(asLines(askedOn('25 12:00', more: ['jars' => [$jar(1, 10, $settledAt('24 12:00'))]])))
        ->toBe(['jar_spent any']);
    $bath = fn(float $waxG): BathState => new BathState(
        1,
        (new BathLedger())(new BathLedgerInput(new Vessel(130.0, 100.0), [BathEvent::fill(0.0, $waxG)])),
        100.0,
        100.0,
        0,
    );
    expect(asLines(askedOn('25 12:00', more: ['baths' => [$bath(200.0)]])))
        ->toBe(['bath any'])
        ->and(asLines(askedOn('25 12:00', more: ['baths' => [$bath(700.0), new BathState(2, null, 100.0, null, null)]])))
        ->toBe([]);
});

it('goes on with a job: when its timer rings, else now; one that is planned leaves its chains to others', function (): void {
    $job = fn(bool $planned, ?int $dueS) => new OpenJob('j', 'strip', [2], 'dry', $dueS, $planned);
    expect(asLines(askedOn('25 12:00', more: ['jobs' => [$job(false, ofNovember('25 14:15'))]])))
        ->toBe(['job 25 14:15'])
        ->and(asLines(askedOn('25 12:00', more: ['jobs' => [$job(false, ofNovember('25 11:00'))]])))
        ->toBe(['job 25'])
        ->and(asLines(askedOn('25 12:00', more: ['jobs' => [$job(false, null)]])))
        ->toBe(['job 25'])
        ->and(asLines(askedOn('25 12:00', more: ['jobs' => [$job(true, ofNovember('26 08:00'))]])))
        ->toBe(['job 26 08:00']);
    // Bare steel waits no longer for a job than for anything else; the job speaks for it.
    expect(
        asLines(askedOn('21 07:30', [new Strip(91, new Moment(ofNovember('20 20:00')), 2)], more: ['jobs' => [$job(false, null)]])),
    )->toBe(['job 21 urgent']);
});

it('says once that files wait, and how many', function (): void {
    $items = askedOn('25 12:00', more: ['ridesIn' => 3]);
    expect(asLines($items))
        ->toBe(['rides_in 25'])
        ->and($items[0]->about)
        ->toEqual(new WaitingFiles(3))
        ->and(asLines(askedOn('25 12:00')))
        ->toBe([]);
});

it('has what is urgent first, then by its day, what has none last, then what is late, then by its kind', function (): void {
    $wet = [['24 10:00', 30.0, Condition::Wet]];
    $jar = new JarState(1, JarRole::Dirty, Solvent::WhiteSpirit, 500.0, 0.0, 0, 10, 10, false, null, null);
    $items = askedOn('25 09:00', [new Strip(91, new Moment(ofNovember('24 22:00')), 2)], $wet, more: ['jars' => [$jar], 'ridesIn' => 1]);
    expect(asLines($items))->toBe(['bare 25 10:00 urgent', 'wet 25 late', 'planned_pot 06', 'rides_in 25', 'jar_spent any']);
});
