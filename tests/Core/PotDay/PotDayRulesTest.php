<?php

declare(strict_types=1);

use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Guided\JobVerdict;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\KeptFor;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Next\Verb;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\JarRinse;
use Dripel\Core\PotDay\PotDayBlock;
use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayLanes;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Wear\DigitalReading;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\PotDay\ShedPot;

const POT_DAY_NOW = 1_000_000;

/**
 * Chain 1 of a bike whose limit is 0.5 %: dipped at the start, ridden so many km, measured after the first of them.
 *
 * @param list<mixed> $more
 */
function ridden(float $km, ?float $measuredPct, float $kmSince = 0.0, array $more = []): Book
{
    $reading = $measuredPct === null ? [] : [new Reading(7, new Moment(300), 1, fn() => new DigitalReading($measuredPct))];

    return new Book(
        [5],
        [1],
        new Settings([]),
        [new Fitting(2, new Moment(100), 5, 1, Slot::Chain)],
        [
            new Ride(3, new Moment(200), 5, $km, null, Condition::Dry),
            ...$kmSince > 0 ? [new Ride(4, new Moment(400), 5, $kmSince, null, Condition::Dry)] : [],
        ],
        [new Dip(1, new Moment(50), 1), ...$reading, ...$more],
    );
}

it('puts no chain on a pot day that is worn, may be and was not measured, retired or still greased', function (
    Book $book,
    ?PotRefusal $refusal,
    ?Verb $remedy = null,
): void {
    $found = PotRefusal::of($book->chain(1, POT_DAY_NOW), $book->settings);
    expect($found)->toBe($refusal)->and($found?->remedy())->toBe($remedy);
})->with([
    'ridden a little, never measured' => fn() => [ridden(300, null), null],
    'ridden far, never measured' => fn() => [ridden(2000, null), PotRefusal::NeverMeasured, Verb::Measure],
    'measured far from its limit, ridden since' => fn() => [ridden(2500, 0.2, 500), null],
    // 80 % of 0.5 is 0.4.
    'measured near its limit, ridden since' => fn() => [ridden(2500, 0.4, 50), PotRefusal::Measure, Verb::Measure],
    'measured near its limit just now' => fn() => [ridden(2500, 0.45), null],
    'past its limit' => fn() => [ridden(2500, 0.5), PotRefusal::Worn, Verb::Retire],
    'retired' => fn() => [ridden(10, null, 0, [new Retirement(9, new Moment(500), 1)]), PotRefusal::Retired],
    'never waxed' => fn() => [new Book([5], [1], new Settings([]), [], [], []), PotRefusal::Greased, Verb::Strip],
]);

it('takes wax of the factory for wax', function (): void {
    $factory = new Settings([new DatedSetting(SettingKey::ChainLoad, 1, new Moment(0), 'factory_waxed')]);
    expect(PotRefusal::of((new Book([5], [1], $factory, [], [], []))->chain(1, POT_DAY_NOW), $factory))
        ->toBeNull()
        ->and(PotRefusal::unmeasured(ridden(300, null)->chain(1, POT_DAY_NOW)))
        ->toBeTrue()
        // A kilometre to the door and back is none.
        ->and(array_map(fn(float $since) => PotRefusal::unmeasured(ridden(300, 0.2, $since)->chain(1, POT_DAY_NOW)), [0.0, 0.9, 1.0, 2.0]))
        ->toBe([false, false, true, true]);
});

it('lets a dipped chain be ridden when it is set and cold, or not before the next local day', function (
    string $dipped,
    ReadySchool $school,
    string $ready,
): void {
    $zone = new DateTimeZone('Europe/Amsterdam');
    expect(
        (new DateTimeImmutable('@' . $school->readyS((new DateTimeImmutable($dipped, $zone))->getTimestamp(), $zone)))
            ->setTimezone($zone)
            ->format('Y-m-d H:i:s'),
    )->toBe("{$ready}:00");
})->with([
    'cold' => ['2026-11-25 19:30', ReadySchool::Cold, '2026-11-25 19:45'],
    'the next day' => ['2026-11-25 19:30', ReadySchool::NextDay, '2026-11-26 00:00'],
    'dipped at midnight, still warm' => ['2026-11-25 23:55', ReadySchool::NextDay, '2026-11-26 00:10'],
    'the clocks go back that night' => ['2026-10-24 20:00', ReadySchool::NextDay, '2026-10-25 00:00'],
]);

it('keeps a chain for its event until its day, and asks for its dip in time', function (
    string $now,
    ?string $dipped,
    bool $kept,
    bool $waits,
    bool $wantsDip,
): void {
    $zone = new DateTimeZone('Europe/Amsterdam');
    $at = fn(string $time): int => (new DateTimeImmutable($time, $zone))->getTimestamp();
    $set = fn(SettingKey $key, string $value): DatedSetting => new DatedSetting(
        $key,
        $key === SettingKey::TimeZone ? 0 : 1,
        new Moment(0),
        $value,
    );
    $settings = new Settings([
        $set(SettingKey::TimeZone, 'Europe/Amsterdam'),
        $set(SettingKey::ChainEvent, 'race'),
        $set(SettingKey::ChainEventOn, '2026-12-06'),
        $set(SettingKey::ChainDippedAfter, '2026-12-01'),
    ]);
    $keptFor = KeptFor::of($settings, 1, $at($now));
    $dip = $dipped === null ? null : new Dip(1, new Moment($at($dipped)), 1);
    expect([$keptFor !== null, $keptFor?->waits($at($now), $settings), $keptFor?->wantsDip($dip, $at($now), $settings)])->toBe([
        $kept,
        ...$kept ? [$waits, $wantsDip] : [null, null],
    ]);
})->with([
    'weeks before' => ['2026-11-20 12:00', '2026-11-19 12:00', true, true, false],
    'the last evening on which a dip is too early' => ['2026-12-01 23:00', '2026-11-19 12:00', true, true, false],
    'the morning after' => ['2026-12-02 07:00', '2026-11-19 12:00', true, true, true],
    'dipped the day before that' => ['2026-12-02 07:00', '2026-12-01 22:00', true, true, true],
    'dipped since' => ['2026-12-03 07:00', '2026-12-02 22:00', true, true, false],
    'never dipped' => ['2026-12-02 07:00', null, true, true, true],
    'on the day' => ['2026-12-06 07:00', '2026-12-02 22:00', true, false, false],
    'past' => ['2026-12-07 07:00', null, false, false, false],
]);

it('lays the day out in lanes: what is done, under way and to come', function (): void {
    $plan = PotDayPlan::of(ShedPot::terms(), [new PotDayChain(1, false, RinseSchool::HotWater)]);
    $blocks = fn(JobRun $run, int $nowS): array => array_map(
        fn(array $lane) => array_map(
            fn(PotDayBlock $block) => $block->code . ($block->done ? ' done' : ($block->underWay ? ' now' : '')),
            $lane,
        ),
        PotDayLanes::of($plan->steps, $run->spans($nowS), $nowS),
    );
    $run = JobRun::of($plan->steps, 0, []);
    expect($blocks($run, 0))->toBe([0 => ['heat', 'hold'], 1 => ['rinse', 'dry', 'under', 'drain', 'set', 'flex']]);
    foreach ([100, 130, 400, 1500] as $position => $atS) {
        $run = $run->after(new JobEvent(JobEventKind::Done, $position, $atS));
    }
    expect($blocks($run, 2000))->toBe([0 => ['heat now', 'hold'], 1 => ['rinse done', 'dry done', 'under', 'drain', 'set', 'flex']]);
    // The curve, the lanes and the steps speak of the same instants.
    foreach (PotDayLanes::of($plan->steps, $run->spans(2000), 2000) as $lane) {
        foreach (array_slice($lane, 1) as $i => $block) {
            expect($block->fromS)->toBeGreaterThanOrEqual($lane[$i]->fromS)->and($block->toS)->toBeGreaterThanOrEqual($block->fromS);
        }
    }
});

it('takes the dirty and the clean jar that can serve, and fresh spirit where none can', function (): void {
    $jar = fn(int $id, JarRole $role, float $ml, int $cleanings = 0, ?int $settlingS = null): JarState => new JarState(
        $id,
        $role,
        Solvent::WhiteSpirit,
        $ml,
        1.0,
        0,
        $cleanings,
        10,
        false,
        $settlingS,
        null,
    );
    $ids = fn(array $jars, array $busy = []): array => array_map(
        fn(BathSource $source) => $source->jarId,
        JarRinse::sources(array_column(array_map(fn(JarState $jar) => [$jar->jarId, $jar], $jars), 1, 0), $busy),
    );
    [$dirty, $clean] = [$jar(1, JarRole::Dirty, 500), $jar(2, JarRole::Clean, 500)];
    expect($ids([$dirty, $clean]))
        ->toBe([1, 2])
        ->and($ids([$clean]))
        ->toBe([null, 2])
        ->and($ids([$jar(1, JarRole::Dirty, 150), $clean]))
        ->toBe([null, 2])
        ->and($ids([$jar(1, JarRole::Dirty, 500, 10), $clean]))
        ->toBe([null, 2])
        ->and($ids([$dirty, $clean], [2]))
        ->toBe([1, null])
        ->and($ids([]))
        ->toBe([null, null])
        ->and(JarRinse::about(null))
        ->toBe(['jar' => null, 'into' => null, 'volume_ml' => 200.0]);
});

it('keeps its time axis in order through any taps, and comes back from what a job keeps', function (): void {
    $dice = new Randomizer(new Mt19937(21));
    for ($try = 0; $try < 40; $try++) {
        $chains = array_map(
            fn(int $id) => new PotDayChain($id, $dice->getInt(0, 2) === 0, RinseSchool::cases()[$dice->getInt(0, 1)]),
            range(1, $dice->getInt(1, 4)),
        );
        $plan = PotDayPlan::of(
            ShedPot::terms(wax: WaxKind::cases()[$dice->getInt(0, 2)], targetC: 70, limitC: 80, weigh: $dice->getInt(0, 1) === 1),
            $chains,
        );
        $kept = array_map(fn(JobStep $step) => JobStep::fromArray(json_decode((string) json_encode($step->toArray()), true)), $plan->steps);
        [$run, $events, $nowS] = [JobRun::of($plan->steps, 0, []), [], 0];
        while (($turn = $run->current()) !== null && count($events) < 300) {
            // Somebody taps anything at any time; what may not be is refused.
            $nowS += $dice->getInt(0, 600);
            $event = new JobEvent(JobEventKind::cases()[$dice->getInt(0, count(JobEventKind::cases()) - 1)], $turn->position, $nowS);
            $verdict = $run->verdict($event);
            if ($verdict === JobVerdict::Take) {
                $events[] = $event;
                $run = $run->after($event);
            }
            $spans = $run->spans($nowS);
            expect(count($spans))
                ->toBe(count($run->turns) + count($run->ahead))
                ->and($run->aboutS($nowS))
                ->toBeGreaterThanOrEqual($run->current() === null ? 0 : $nowS);
            foreach ($spans as $i => $span) {
                $before = $spans[max(0, $i - 1)];
                expect($span->endS >= $span->startS && $span->fromS <= $span->endS && $span->startS >= $before->startS)->toBeTrue();
            }
            // A dip has been checked by somebody right before, whatever was passed over.
            $step = $run->step();
            if ($step?->code === PotDayPlan::IN) {
                $last = $run->turns[count($run->turns) - 2];
                expect([$plan->steps[$last->step]->code, $last->answer])->toBe(['check', JobEventKind::Done]);
            }
        }
        expect(JobRun::of($kept, 0, $events)->turns)
            ->toEqual($run->turns)
            ->and(
                PotDayTerms::fromArray(
                    json_decode((string) json_encode($plan->terms->toArray(), JSON_PRESERVE_ZERO_FRACTION), true),
                )->toArray(),
            )
            ->toEqual($plan->terms->toArray());
    }
});

it('rinses a re-wax by the worst that it was ridden in', function (Condition $condition, RinseSchool $usual): void {
    $coat = new Book(
        [5],
        [1],
        new Settings([]),
        [new Fitting(2, new Moment(100), 5, 1, Slot::Chain)],
        [new Ride(3, new Moment(200), 5, 80.0, null, $condition), new Ride(4, new Moment(300), 5, 10.0, null, Condition::Dry)],
        [new Dip(1, new Moment(50), 1)],
    );
    $bare = new Book([5], [1], new Settings([]), [], [], []);
    expect(RinseSchool::usual($coat->chain(1, POT_DAY_NOW)))
        ->toBe($usual)
        ->and(RinseSchool::usual($bare->chain(1, POT_DAY_NOW)))
        ->toBe(RinseSchool::Straight);
})->with([[Condition::Dry, RinseSchool::Straight], [Condition::Wet, RinseSchool::HotWater], [Condition::Muddy, RinseSchool::HotWater]]);
