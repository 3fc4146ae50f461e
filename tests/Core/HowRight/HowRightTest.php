<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\PotEntry;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\HowRight\CalibrationPoint;
use Dripel\Core\HowRight\GradeBath;
use Dripel\Core\HowRight\GradeBottle;
use Dripel\Core\HowRight\GradedPromise;
use Dripel\Core\HowRight\GradeEar;
use Dripel\Core\HowRight\GradeGoodUntil;
use Dripel\Core\HowRight\GradeHeat;
use Dripel\Core\HowRight\GradePlan;
use Dripel\Core\HowRight\GradeWear;
use Dripel\Core\HowRight\GradeWeek;
use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\HowRight\HowRight;
use Dripel\Core\HowRight\Mondays;
use Dripel\Core\HowRight\PromiseGrade;
use Dripel\Core\HowRight\PromiseKind;
use Dripel\Core\HowRight\ProposedMargin;
use Dripel\Core\HowRight\ReplayedChain;
use Dripel\Core\HowRight\ReplayPolicy;
use Dripel\Core\HowRight\ReplayYear;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Recorded;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Maths\KeptMemo;
use Dripel\Core\Maths\Wilson;
use Dripel\Core\Plan\PlannedChain;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\Wear\DigitalReading;
use Dripel\Core\Wear\WearPrior;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Midnight UTC of a Monday. */
const HOW_RIGHT_MONDAY_S = 1_767_571_200;

const HOW_RIGHT_DAY_S = 86_400;

/** Noon of a day, 0 is the Monday. */
function noonOf(int $day): int
{
    return HOW_RIGHT_MONDAY_S + HOW_RIGHT_DAY_S * $day + 43_200;
}

/**
 * Bike 1 with chain 7, what was written down at once.
 *
 * @param list<Entry> $entries rides and what happened to the chain
 * @param list<Recorded<Entry>> $late what was written down otherwise
 * @param list<DatedSetting> $settings further ones
 * @param list<Fitting> $fittings further ones
 * @param list<int> $chains that hang with it, 7 is on
 * @param list<PotEntry> $pots
 */
function recorded(
    array $entries,
    array $late = [],
    array $settings = [],
    array $fittings = [],
    array $chains = [7],
    array $pots = [],
): RecordedBook {
    $at = fn(Entry $one) => new Recorded($one, $one->moment->unixS);
    $all = [...array_map($at, $entries), ...$late];
    $of = fn(bool $rides): array => array_values(array_filter($all, fn(Recorded $one) => $one->what instanceof Ride === $rides));
    $firstS = noonOf(-400);

    return new RecordedBook(
        [new Recorded(1, $firstS)],
        array_map(fn(int $chain) => new Recorded($chain, $firstS), $chains),
        array_map(fn(DatedSetting $one) => new Recorded($one, $firstS), [
            ...array_map(fn(int $chain) => new DatedSetting(SettingKey::ChainHome, $chain, new Moment(0), 1), $chains),
            ...$settings,
        ]),
        array_map(fn(Fitting $one) => new Recorded($one, $one->moment->unixS), [new Fitting(1, new Moment($firstS), 1, 7), ...$fittings]),
        $of(true),
        $of(false),
        potEntries: array_map(fn(PotEntry $one) => new Recorded($one, $one->moment->unixS), $pots),
    );
}

/**
 * 50 km each Tuesday and 100 km each Saturday, dry.
 *
 * @return list<Ride>
 */
function tuesdaysAndSaturdays(int $fromWeek, int $untilWeek): array
{
    $rides = [];
    for ($week = $fromWeek; $week < $untilWeek; $week++) {
        $rides[] = new Ride(1000 + 2 * $week, new Moment(noonOf(7 * $week + 1)), 1, 50.0, null, Condition::Dry);
        $rides[] = new Ride(1001 + 2 * $week, new Moment(noonOf(7 * $week + 5)), 1, 100.0, null, Condition::Dry);
    }

    return $rides;
}

function howRight(RecordedBook $recorded, int $nowS): HowRight
{
    return HowRight::of($recorded, $nowS, HowRight::goodUntil($recorded, $nowS), null, new KeptMemo());
}

it('grades good-until days against what was ridden, whatever was done to the chain, and says what margin they wanted', function (): void {
    // Waxed on the Sunday before: 300 km are the third Tuesday, the 15th day.
    $entries = [...tuesdaysAndSaturdays(-9, 2), new Dip(1, new Moment(noonOf(-1)), 7)];
    $grade = function (array $more) use ($entries): array {
        $recorded = recorded([...$entries, ...$more]);

        return [($of = GradeGoodUntil::of($recorded, $recorded->asKnown(noonOf(40)), noonOf(-1), noonOf(40))), $of->promises[0] ?? null];
    };
    [, $kept] = $grade(tuesdaysAndSaturdays(2, 5));
    expect($kept)
        ->kept->toBeTrue()
        ->said->toBe(15.0)
        ->came->toBe(15.0)
        ->chainId->toBe(7)
        ->madeS->toBe(noonOf(0) - 7 * 3600);
    // Half as much again in the first week, and it was waxed in time: it would have run out on the second Tuesday.
    $more = [
        ...tuesdaysAndSaturdays(2, 5),
        new Ride(90, new Moment(noonOf(2)), 1, 150.0, null, Condition::Dry),
        new Dip(2, new Moment(noonOf(6)), 7),
    ];
    [$of, $broken] = $grade($more);
    expect($broken)->kept->toBeFalse()->said->toBe(15.0)->came->toBe(8.0);
    expect($broken->off)->toEqualWithDelta(7 / 15, 1e-9);
    // By the second Tuesday 200 km were expected: half as much again would have told.
    expect($of->marginsPct[0])->toEqualWithDelta(50.0, 1e-6);
    // What is not over yet is not graded, and what is not waxed promises nothing.
    $recorded = recorded([...$entries, ...tuesdaysAndSaturdays(2, 5)]);
    $until = fn(int $day): array => GradeGoodUntil::of($recorded, $recorded->asKnown(noonOf($day)), noonOf(-1), noonOf($day))->promises;
    expect($until(10))->toBe([])->and($until(15))->toBe([]);
    // It was kept once its day is over, whether its wax has run out by then or not.
    $still = recorded([...$entries, ...array_slice(tuesdaysAndSaturdays(2, 5), 1)]);
    [$waxed] = GradeGoodUntil::of($still, $still->asKnown(noonOf(16)), noonOf(-1), noonOf(16))->promises;
    expect($waxed)->kept->toBeTrue()->came->toBeNull();
    expect(
        GradeGoodUntil::of($bare = recorded(tuesdaysAndSaturdays(-9, 5)), $bare->asKnown(noonOf(40)), noonOf(-1), noonOf(40))->promises,
    )->toBe([]);
});

it('does not peek: what is written down later changes what came, never what was promised', function (): void {
    $dice = new Randomizer(new Mt19937(4));
    $entries = [
        ...tuesdaysAndSaturdays(-30, 20),
        ...array_map(fn(int $n) => new Dip(1 + $n, new Moment(noonOf(14 * $n - 1)), 7), range(-14, 9)),
    ];
    foreach ([-90, -40, 5, 60] as $n => $day) {
        $entries[] = new Reading(300 + $n, new Moment(noonOf($day)), 7, new DigitalReading(0.05 + 0.02 * $n));
        $entries[] = new Noise(400 + $n, new Moment(noonOf($day) + 3600), 1);
    }
    $said = fn(HowRight $how, int $untilS): array => array_map(
        fn(PromiseGrade $grade) => array_map(
            fn(GradedPromise $one) => [$one->kind, $one->madeS, $one->said, $one->low, $one->high, $one->likely],
            array_values(array_filter($grade->promises, fn(GradedPromise $one) => $one->madeS < $untilS)),
        ),
        $how->grades,
    );
    $how = howRight(recorded($entries), noonOf(130));
    expect(array_map(fn(PromiseGrade $grade) => $grade->count() > 0, $how->grades))->toBe([
        true,
        true,
        true,
        true,
        true,
        false,
        false,
        false,
    ]);
    for ($round = 0; $round < 4; $round++) {
        $fromS = noonOf($dice->getInt(20, 100));
        // A ride of long ago moves the km at which a band is looked at: readings are looked at without it.
        $late = [
            new Recorded(new Dip(92, new Moment(noonOf(100) + 60), 7), $fromS + 1),
            new Recorded(new Ride(93, new Moment($fromS), 1, 500.0, null, Condition::Dry), $fromS, $fromS + 3600),
            $round % 2 === 0
                ? new Recorded(new Ride(91, new Moment(noonOf(-20)), 1, 60.0, null, Condition::Wet), $fromS)
                : new Recorded(new Reading(91, new Moment(noonOf(-40) - 60), 7, new DigitalReading(0.4)), $fromS),
        ];
        $again = howRight(recorded($entries, $late), noonOf(130));
        expect(recorded($entries, $late)->fingerprint($fromS - 1))->toBe(recorded($entries)->fingerprint($fromS - 1));
        expect(recorded($entries, $late)->fingerprint($fromS))->not->toBe(recorded($entries)->fingerprint($fromS));
        foreach ($said($again, $fromS) as $kind => $promises) {
            if ($again->grades[$kind]->kind === PromiseKind::Wear && $round % 2 === 0) {
                continue;
            }
            // Some are decided otherwise now, or not yet, or only now: those that stand in both were said as before.
            $before = array_column($said($how, $fromS)[$kind], null, 1);
            foreach ($promises as $one) {
                expect($one)->toBe($before[$one[1]] ?? $one);
            }
            expect(count(array_intersect(array_column($promises, 1), array_keys($before))))->toBeGreaterThanOrEqual(count($before) - 2);
        }
    }
});

it('knows what was known: from when it was written down until it was changed or taken back', function (): void {
    $typo = new Recorded(new Ride(1, new Moment(noonOf(0)), 1, 4.0, null, Condition::Dry), noonOf(1), noonOf(2));
    $mended = new Recorded(new Ride(2, new Moment(noonOf(0)), 1, 40.0, null, Condition::Dry), noonOf(2));
    $book = recorded([], [$typo, $mended]);
    $km = fn(int $atS): float => $book->asKnown($atS)->ridesOf(1)->km();
    expect([$km(noonOf(1) - 1), $km(noonOf(1)), $km(noonOf(2) - 1), $km(noonOf(2))])->toBe([0.0, 4.0, 4.0, 40.0]);
    expect($book->beganS())->toBe(noonOf(1));
    expect(recorded([])->beganS())->toBeNull();
});

it('foretells eight of ten weeks of 500 riders whose weeks are alike', function (): void {
    $dice = new Randomizer(new Mt19937(500));
    [$kept, $of] = [0, 0];
    for ($rider = 0; $rider < 500; $rider++) {
        $rides = [];
        for ($week = -16; $week < 0; $week++) {
            $rides[] = new Ride($week + 100, new Moment(noonOf(7 * $week + 2)), 1, $dice->getInt(20, 200), null, Condition::Dry);
        }
        $recorded = recorded($rides);
        $promises = GradeWeek::of($recorded, $recorded->asKnown(noonOf(0)), noonOf(-13), noonOf(0));
        $of += count($promises);
        $kept += count(array_filter($promises, fn(GradedPromise $one) => $one->kept));
    }
    expect($of)->toBe(500);
    expect(Wilson::of($kept, $of, 0.001)->holds(0.8))->toBeTrue();
});

it('grades readings by the band that was foretold, and the ear by the interval that was learned', function (): void {
    $reading = fn(int $id, int $day, float $pct) => new Reading($id, new Moment(noonOf($day)), 7, new DigitalReading($pct));
    $entries = [...tuesdaysAndSaturdays(-40, 2), new Dip(1, new Moment(noonOf(-280)), 7), $reading(2, -140, 0.1)];
    $wear = fn(float $pct): array => GradeWear::of(
        $recorded = recorded([...$entries, $reading(3, 0, $pct)]),
        $recorded->asKnown(noonOf(1)),
        noonOf(-100),
        noonOf(1),
        new KeptMemo(),
    );
    [$kept] = $wear(0.2);
    expect($kept)->kept->toBeTrue()->came->toBe(0.2)->km->toBe(3000.0)->off->toBe(0.0)->likely->toBe(0.8);
    [$broken] = $wear(0.6);
    expect($broken)->kept->toBeFalse()->low->toBe($kept->low)->high->toBe($kept->high);
    expect($broken->off)->toEqualWithDelta((0.6 - $kept->high) / ($kept->high - $kept->low), 1e-9);
    // Per 1,000 km.
    expect((new PromiseGrade(PromiseKind::Wear, [$broken]))->meanError())->toEqualWithDelta(abs(0.6 - $broken->said) / 3.0, 1e-9);

    // Loud once at 300 km, then once too soon, once in time, and once waxed while it was quiet.
    $dip = fn(int $id, int $week) => new Dip($id, new Moment(noonOf(7 * $week)), 7);
    $loud = fn(int $id, int $day) => new Noise($id, new Moment(noonOf($day) + 60), 1);
    $ear = recorded([
        ...tuesdaysAndSaturdays(-10, 3),
        ...[$dip(1, -10), $loud(2, -65), $dip(3, -8), $loud(4, -55), $dip(5, -6), $loud(6, -23), $dip(7, -2), $dip(8, -1)],
    ]);
    $promises = GradeEar::of($ear, $ear->asKnown(noonOf(0)), noonOf(-365), noonOf(0));
    expect(array_map(fn(GradedPromise $one) => [$one->kept, $one->came], $promises))->toBe([[false, 50.0], [true, 450.0]]);
    // One in five may be loud before it; how far off it was, by what was said.
    expect(array_map(fn(GradedPromise $one) => $one->likely, $promises))
        ->toEqualWithDelta([0.8, 0.8], 1e-9)
        ->and(array_map(fn(GradedPromise $one) => $one->off, $promises))
        ->toEqualWithDelta([1 - 50.0 / $promises[0]->said, 0.0], 1e-9);
});

it('says nothing of promises that were not made, and adds up those that were', function (): void {
    $none = new PromiseGrade(PromiseKind::Wear, []);
    expect([$none->count(), $none->share(), $none->interval(), $none->promised(), $none->held(), $none->meanError()])->toBe([
        0,
        null,
        null,
        null,
        null,
        null,
    ]);
    $one = fn(bool $kept, float $came, ?float $km, ?float $likely = 0.8): GradedPromise => new GradedPromise(
        PromiseKind::Wear,
        0,
        1,
        7,
        $kept,
        0.2,
        $came,
        $likely,
        km: $km,
    );
    $three = [$one(true, 0.25, 1000.0), $one(false, 0.1, 500.0, 0.6), $one(true, 9.0, 0.0, null)];
    $grade = new PromiseGrade(PromiseKind::Wear, $three);
    expect([$grade->count(), $grade->kept(), $grade->share(), $grade->held()])
        ->toBe([3, 2, 2 / 3, null])
        ->and($grade->promised())
        ->toEqualWithDelta(0.7, 1e-9)
        // 0.05 in 1,000 km and 0.1 in 500; what was not ridden says nothing.
        ->and($grade->meanError())
        ->toEqualWithDelta((0.05 + 0.2) / 2, 1e-9)
        // Of what is not told by km, as it is.
        ->and((new PromiseGrade(PromiseKind::GoodUntil, [$one(true, 0.25, null)]))->meanError())
        ->toEqualWithDelta(0.05, 1e-9)
        ->and((new PromiseGrade(PromiseKind::Plan, $three))->meanError())
        ->toBeNull();
});

it('says how sure a share is as published, and holds what was promised against it', function (
    int $hits,
    int $of,
    float $low,
    float $high,
): void {
    $interval = Wilson::of($hits, $of, 0.025);
    expect($interval->low)->toEqualWithDelta($low, 5e-5);
    expect($interval->high)->toEqualWithDelta($high, 5e-5);
})->with([
    // R. G. Newcombe, Two-sided confidence intervals for the single proportion, Statistics in Medicine 17 (1998), table I, from memory.
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0.0, 0.1611],
    [1, 29, 0.0061, 0.1718],
]);

it('proposes a margin only where enough promises ask for another, and not what was declined', function (): void {
    $set = fn(array $values) => new Settings(
        array_map(fn(string $key) => new DatedSetting(SettingKey::from($key), 0, new Moment(0), $values[$key]), array_keys($values)),
    );
    $margins = [...array_fill(0, 17, 0.0), 12.0, 40.0, 300.0];
    expect(ProposedMargin::of($margins, $set([])))->marginPct->toBe(15.0)->nowPct->toBe(10.0)->promises->toBe(20);
    expect(ProposedMargin::of(array_slice($margins, 9), $set([])))->toBeNull();
    expect(ProposedMargin::of($margins, $set(['plan.margin_pct' => 15.0])))->toBeNull();
    expect(ProposedMargin::of($margins, $set(['plan.margin_declined' => 15.0])))->toBeNull();
    expect(ProposedMargin::of(array_fill(0, 12, INF), $set([])))->marginPct->toBe(ProposedMargin::MOST_PCT);
    expect(ProposedMargin::of(array_fill(0, 12, 0.0), $set([])))->marginPct->toBe(0.0);
    $point = new CalibrationPoint(0.8, 8, 10);
    expect($point->share())->toBe(0.8);
    expect($point->interval()->holds(0.8))->toBeTrue();
    expect(Mondays::between(noonOf(0), noonOf(15), new DateTimeZone('UTC')))->toBe([noonOf(7) - 7 * 3600, noonOf(14) - 7 * 3600]);
});

it('rides a year again by the plan beside what was really done', function (): void {
    // On one chain of 300 km: waxed three times, first ten weeks before the Monday, then each time too late.
    $entries = [
        ...tuesdaysAndSaturdays(-10, 12),
        ...array_map(fn(int $day) => new Dip(200 + $day, new Moment(noonOf($day)), 7), [-70, -1, 20]),
    ];
    $replay = ReplayYear::of(recorded($entries), noonOf(84), null, new KeptMemo());
    // From the second Monday on 21 weeks of 150 km; each coat carries 300, and 150 of the first were ridden by then.
    expect($replay?->done())
        ->km->toEqualWithDelta(3150.0, 1e-6)
        ->kmPastWax->toEqualWithDelta(8 * 150 + 150 + 7 * 150.0, 1e-6)
        ->potDays->toBe(2)
        ->dips->toBe(2)
        ->swaps->toBe(0)
        ->minutes->toBe(2 * (45.0 + 4.0 + 10.0));
    // By the plan no ride goes past the wax: what the pot and the bottle put on carries all that is ridden.
    foreach (ReplayPolicy::all() as $policy) {
        $year = $replay?->planned($policy) ?? throw new LogicException();
        expect($year)->km->toEqualWithDelta(3150.0, 1e-6)->kmPastWax->toBe(0.0);
        $interval = $policy->intervalKm ?? 300.0;
        expect($interval * $year->dips + WaxTopUp::KM * $year->topUps + $interval - 150.0)->toBeGreaterThanOrEqual(3150.0);
    }
    expect($replay?->planned(new ReplayPolicy(bottle: false)))->dips->toBe(21)->topUps->toBe(0);
    expect($replay?->done()->costMinor(6.0, 2000.0, 150.0))->toEqualWithDelta((2 * 6.0 * 2000.0) / 1000.0, 1e-9);
    expect(ReplayYear::of(recorded($entries), noonOf(-45), null, new KeptMemo()))->toBeNull();
});

it('rides a coat by km, by hours and bare, and takes it to the plan as spent as it can be', function (): void {
    $coat = new ReplayedChain(250.0, 4.0, false, 1);
    // 50 of 100 km lie past 300; by the hours two of five past ten.
    expect($coat->ride(100.0, 5.0, 300.0, null))
        ->toBe(0.5)
        ->and([$coat->usedKm, $coat->usedHours])
        ->toBe([350.0, 9.0])
        ->and((new ReplayedChain(0.0, 7.0, false, 0))->ride(100.0, 5.0, 300.0, 10.0))
        ->toBe(0.4)
        ->and((new ReplayedChain(0.0, 7.0, false, 0))->ride(100.0, 0.0, null, 5.0))
        ->toBe(0.0)
        ->and((new ReplayedChain(0.0, 0.0, true, 0))->ride(1.0, 0.1, 300.0, null))
        ->toBe(1.0)
        ->and($coat->ride(10.0, 0.0, 300.0, null))
        ->toBe(1.0);
    $planned = $coat->planned(new PlannedChain('7', 0.0, notOn: [3]), 300.0, 8.0);
    expect([$planned->id, $planned->usedKm, $planned->usedHours, $planned->bare, $planned->topUps, $planned->notOn])->toBe([
        '7',
        300.0,
        8.0,
        false,
        1,
        [3],
    ]);
    $coat->drip(160.0);
    expect([$coat->usedKm, $coat->topUps])->toBe([200.0, 2]);
    $coat->drip(900.0);
    expect($coat->usedKm)->toBe(0.0);
    $coat->bare = true;
    $coat->dip();
    expect([$coat->usedKm, $coat->usedHours, $coat->bare, $coat->topUps])->toBe([0.0, 0.0, false, 0]);
});

it('ends a good-until day by hours where they end first, to the last of what is left and not before', function (): void {
    // 15 hours a coat, five a ride: spent to the last minute on the second Tuesday, and the second Saturday wants more.
    $settings = [
        new DatedSetting(SettingKey::IntervalHours, 1, new Moment(0), 15.0),
        new DatedSetting(SettingKey::IntervalKm, 1, new Moment(0), 2000.0),
    ];
    $timed = fn(int $from, int $until): array => array_map(
        fn(Ride $ride) => new Ride($ride->id, $ride->moment, 1, $ride->km, 5.0, Condition::Dry),
        tuesdaysAndSaturdays($from, $until),
    );
    $grade = function (array $more) use ($timed, $settings): GradeGoodUntil {
        $recorded = recorded([...$timed(-9, 1), new Dip(1, new Moment(noonOf(-1)), 7), ...$more], settings: $settings);

        return GradeGoodUntil::of($recorded, $recorded->asKnown(noonOf(40)), noonOf(-1), noonOf(40));
    };
    $kept = $grade($timed(1, 5));
    expect($kept->promises[0])->kept->toBeTrue()->said->toBe(12.0)->came->toBe(12.0)->off->toBe(0.0)->and($kept->marginsPct[0])->toBe(0.0);
    // One more ride of two hours on the Wednesday: it runs out on the second Tuesday. At a fifteenth of an hour each km 13.3 of 15 were
    // expected by then.
    $broken = $grade([...$timed(1, 5), new Ride(90, new Moment(noonOf(2)), 1, 10.0, 2.0, Condition::Dry)]);
    expect($broken->promises[0])
        ->kept->toBeFalse()
        ->came->toBe(8.0)
        ->and($broken->promises[0]->off)
        ->toEqualWithDelta(4 / 12, 1e-9)
        ->and($broken->marginsPct[0])
        ->toEqualWithDelta(12.5, 1e-9);
    // On the very first day, where nothing was expected, no margin would have told.
    $first = $grade([...$timed(1, 5), new Ride(91, new Moment(noonOf(0)), 1, 10.0, 16.0, Condition::Dry)]);
    expect($first->promises[0])
        ->came->toBe(0.0)
        ->off->toBe(1.0)
        ->and($first->marginsPct[0])
        ->toBe(INF);
});

it('holds plans against all that was ridden in their weeks, and puts likelihoods and broken promises in order', function (): void {
    // Waxed each fourth Sunday; nobody rides beyond what the weeks before let expect: plans hold. Then the weeks get thrice as long.
    $dips = array_map(fn(int $n) => new Dip(500 + $n, new Moment(noonOf(14 * $n - 1)), 7), range(-10, 5));
    $calm = recorded([...tuesdaysAndSaturdays(-20, 10), ...$dips]);
    $plans = fn(RecordedBook $recorded): array => GradePlan::of(
        $recorded,
        $recorded->asKnown(noonOf(70)),
        noonOf(-1),
        noonOf(70),
        null,
        new KeptMemo(),
    );
    // Four weeks and the day after: at noon of the 70th day the third is not over.
    expect(array_map(fn(GradedPromise $one) => [$one->madeS, $one->kept, $one->came, $one->said === $one->likely], $plans($calm)))->toBe([
        [noonOf(0) - 7 * 3600, true, 29.0, true],
        [noonOf(28) - 7 * 3600, true, 29.0, true],
    ]);
    $long = recorded([
        ...tuesdaysAndSaturdays(-20, 10),
        ...$dips,
        ...array_map(
            fn(int $week) => new Ride(700 + $week, new Moment(noonOf(7 * $week + 3)), 1, 280.0, null, Condition::Dry),
            range(1, 9),
        ),
    ]);
    [$broken] = $plans($long);
    expect($broken)->kept->toBeFalse()->off->toBe($broken->likely)->and($broken->came)->toBeLessThan(29.0)->toBeGreaterThanOrEqual(8.0);

    $how = howRight($long, noonOf(70));
    $all = array_merge(...array_map(fn(PromiseGrade $grade) => $grade->promises, $how->grades));
    $likely = array_filter($all, fn(GradedPromise $one) => $one->likely !== null);
    expect(array_sum(array_map(fn(CalibrationPoint $point) => $point->of, $how->calibration())))->toBe(count($likely));
    foreach ($how->calibration() as $point) {
        expect($point->said)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0)->and($point->kept)->toBeLessThanOrEqual($point->of);
    }
    $off = array_map(fn(GradedPromise $one) => $one->off, $how->worst());
    $sorted = $off;
    rsort($sorted);
    expect($off)
        ->toBe($sorted)
        ->and(count($off))
        ->toBe(min(10, count(array_filter($all, fn(GradedPromise $one) => !$one->kept))))
        ->and(min($off))
        ->toBeGreaterThan(0.0);
});

it('tells how far a week was off by the width of what was foretold', function (): void {
    $weeks = fn(float $last): array => [
        ...array_map(
            fn(int $week) => new Ride(
                100 + $week,
                new Moment(noonOf(7 * $week + 2)),
                1,
                100.0 + 10.0 * ($week % 2 === 0 ? 1 : -1),
                null,
                Condition::Dry,
            ),
            range(-16, -1),
        ),
        new Ride(200, new Moment(noonOf(3)), 1, $last, null, Condition::Dry),
    ];
    $grade = function (float $last) use ($weeks): GradedPromise {
        $recorded = recorded($weeks($last));

        return GradeWeek::of($recorded, $recorded->asKnown(noonOf(8)), noonOf(-1), noonOf(8))[0];
    };
    expect($grade(100.0))
        ->kept->toBeTrue()
        ->low->toBe(90.0)
        ->high->toBe(110.0)
        ->said->toBe((7 * 90.0 + 6 * 110.0) / 13)
        ->off->toBe(0.0)
        ->and($grade(140.0))
        ->kept->toBeFalse()
        ->off->toBe(1.5)
        ->and($grade(80.0)->off)
        ->toBe(0.5);
});

it('counts swaps, top-ups and bare steel of a year as they were', function (): void {
    // Two chains in turn: 7 is waxed before, 8 bare of its strip until it is waxed on the 20th day.
    $entries = [
        ...tuesdaysAndSaturdays(-10, 8),
        new Dip(1, new Moment(noonOf(-71)), 7),
        new Dip(2, new Moment(noonOf(-1)), 7),
        new Strip(3, new Moment(noonOf(6)), 8),
        new Dip(4, new Moment(noonOf(20)), 8),
        new TopUp(5, new Moment(noonOf(30)), 8, 60.0),
    ];
    $fit = fn(int $id, int $day, int $chain) => new Fitting($id, new Moment(noonOf($day)), 1, $chain);
    $recorded = recorded($entries, fittings: [$fit(2, 7, 8), $fit(3, 28, 7), $fit(4, 35, 8)], chains: [7, 8]);
    $year = ReplayYear::of($recorded, noonOf(56), null, new KeptMemo())?->done() ?? throw new LogicException();

    expect([$year->dips, $year->potDays, $year->topUps, $year->swaps])->toBe([2, 2, 1, 3]);
    expect($year->minutes)->toBe(2 * 59.0 + 15.0 + 3 * 3.0);
    // 7 carried two of its first ten weeks; 8 was ridden bare for two; after its week and 60 km of drip it lacked 240 km of the last three.
    expect($year->kmPastWax)->toEqualWithDelta(8 * 150.0 + 2 * 150.0 + 240.0, 1e-6);
});

it('grades how long a pot took, by the probe before the hand, within a fifth of what was said', function (): void {
    $run = function (int $saidMin, float $tappedMin, JobEventKind $how = JobEventKind::Done): JobRun {
        $steps = [
            new JobStep('prepare'),
            new JobStep(PotDayPlan::PLUG_IN, skippable: true),
            new JobStep('rinse', skippable: true),
            new JobStep(PotDayPlan::HEAT, 60 * $saidMin, since: 1, skippable: true),
        ];

        return JobRun::of($steps, noonOf(0), [
            new JobEvent(JobEventKind::Done, 0, noonOf(0) + 300),
            new JobEvent(JobEventKind::Done, 1, noonOf(0) + 600),
            new JobEvent(JobEventKind::Done, 2, noonOf(0) + 900),
            new JobEvent($how, 3, noonOf(0) + 600 + (int) (60 * $tappedMin)),
        ]);
    };
    $grade = fn(?HeatUp $one): array => array_map(
        fn(GradedPromise $of) => [$of->kind, $of->potId, $of->madeS, $of->said, $of->came, $of->kept, $of->off],
        GradeHeat::of(array_filter([$one]), noonOf(-1), noonOf(7)),
    );
    // From the plug on, not from when the step before was done.
    expect($grade(HeatUp::of(4, $run(50, 60), null)))
        ->toBe([[PromiseKind::Heat, 4, noonOf(0) + 600, 50.0, 60.0, true, 0.0]])
        ->and($grade(HeatUp::of(4, $run(50, 61), null))[0])
        ->toEqualWithDelta([PromiseKind::Heat, 4, noonOf(0) + 600, 50.0, 61.0, false, 11 / 50], 1e-9)
        // Five minutes are let pass however short it is.
        ->and($grade(HeatUp::of(4, $run(10, 15), null))[0][5])
        ->toBeTrue()
        ->and($grade(HeatUp::of(4, $run(10, 15.1), null))[0][5])
        ->toBeFalse()
        // Tapped late, but a probe had read it; one that read it before the plug was in had another pot in mind.
        ->and($grade(HeatUp::of(4, $run(50, 90), noonOf(0) + 600 + 3000))[0][4])
        ->toBe(50.0)
        ->and($grade(HeatUp::of(4, $run(50, 55), noonOf(0)))[0][4])
        ->toBe(55.0)
        ->and(HeatUp::of(4, $run(50, 60, JobEventKind::Skip), null))
        ->toBeNull()
        ->and(HeatUp::of(4, JobRun::of([new JobStep('prepare')], noonOf(0), []), null))
        ->toBeNull()
        ->and(GradeHeat::of(array_filter([HeatUp::of(4, $run(50, 60), null)]), noonOf(0) + 601, noonOf(7)))
        ->toBe([])
        ->and(GradeHeat::of(array_filter([HeatUp::of(4, $run(50, 60), null)]), noonOf(-1), noonOf(0) + 600))
        ->toBe([]);
});

it('holds the dips left in a pot against what the next chains were weighed to take along', function (): void {
    $pot = [
        new DatedSetting(SettingKey::PotDiameterMm, 9, new Moment(0), 200.0),
        new DatedSetting(SettingKey::PotHeightMm, 9, new Moment(0), 120.0),
    ];
    $entry = fn(int $id, int $day, BathEventKind $kind, ?float $waxG) => new PotEntry($id, new Moment(noonOf($day)), 9, $kind, $waxG);
    $fill = fn(int $day, int $id = 1) => $entry($id, $day, BathEventKind::Fill, 800.0);
    $dip = fn(int $id, int $day, ?float $pickupG, int $potId = 9) => new Dip(
        $id,
        new Moment(noonOf($day)),
        7,
        potId: $potId,
        pickupG: $pickupG,
    );
    $grade = function (array $dips, array $pots) use ($pot): array {
        $recorded = recorded($dips, settings: $pot, pots: $pots);

        return array_map(
            fn(GradedPromise $one) => [$one->potId, $one->madeS - noonOf(0), $one->said, $one->came, $one->kept, round($one->off, 9)],
            GradeBath::of($recorded, $recorded->settingsAt(noonOf(30)), noonOf(-1), noonOf(30)),
        );
    };
    $morning = -7 * 3600;
    $week = 7 * HOW_RIGHT_DAY_S;
    // 800 g less 6 g; 30 mm of this pot less a chain of 250 g hold 701.2 g: 92.8 g are 15 dips of 6 g, 13 of 7 g, 11 of 8 g.
    $first = $dip(1, -2, 6.0);
    $next = fn(?float ...$g): array => array_map(fn(int $i, ?float $one) => $dip(2 + $i, 1, $one), array_keys($g), array_values($g));
    expect($grade([$first, ...$next(7.0, 7.0, 7.0)], [$fill(-3)]))->toBe([[9, $morning, 15.0, 13.0, true, 0.0]]);
    expect($grade([$first, ...$next(8.0, 8.0, null, 8.0)], [$fill(-3)]))->toBe([[9, $morning, 15.0, 11.0, false, round(4 / 15, 9)]]);
    // Too few were weighed; the next were in another pot; it was filled anew before; it had never been filled; nobody measured it.
    expect($grade([$first, ...$next(8.0, null, 8.0)], [$fill(-3)]))
        ->toBe([])
        ->and($grade([$first, $dip(2, 1, 8.0, 4), $dip(3, 1, 8.0, 4), $dip(4, 1, 8.0, 4)], [$fill(-3)]))
        ->toBe([])
        ->and($grade([$first, ...array_map(fn(int $id) => $dip($id, 3, 8.0), [2, 3, 4])], [$fill(-3), $fill(2, 2)]))
        ->toBe([])
        ->and($grade([$first, ...$next(8.0, 8.0, 8.0)], []))
        ->toBe([]);
    // One promise a Monday, and only where something was done to the pot since; no more of the next than were left.
    expect($grade([$first, ...$next(7.0, 7.0, 7.0), $dip(8, 16, 7.0), $dip(9, 16, 7.0), $dip(10, 16, 7.0)], [$fill(-3)]))->toBe([
        [9, $morning, 15.0, 13.0, true, 0.0],
        [9, $morning + $week, 10.0, 10.0, true, 0.0],
    ]);
    // What is written down later of the time before changes what came of nothing that was said.
    $late = recorded([$first, ...$next(7.0, 7.0, 7.0)], [new Recorded($dip(20, -2, 60.0), noonOf(4))], $pot, pots: [$fill(-3)]);
    expect(GradeBath::of($late, $late->settingsAt(noonOf(30)), noonOf(-1), noonOf(6))[0])
        ->said->toBe(15.0)
        ->came->toBe(13.0);
    // A fill without its wax, as no form writes it: nobody knows what is in the pot.
    expect($grade([$first, ...$next(7.0, 7.0, 7.0)], [$entry(1, -3, BathEventKind::Fill, null)]))->toBe([]);
    $low = [$fill(-3), $entry(2, -1, BathEventKind::Remove, 80.0)];
    // 714 g are two dips: the third chain counts no more, and two are too few.
    expect($grade([$first, ...$next(8.0, 8.0, 8.0)], $low))->toBe([]);
});

it('holds the day on which a bottle is empty against the day on which it was', function (): void {
    $of = fn(SettingKey $key, string|int|float $value, int $day = -200) => new DatedSetting($key, 3, new Moment(noonOf($day)), $value);
    $shelf = [
        $of(SettingKey::BottleName, 'Big one'),
        $of(SettingKey::BottleVolumeMl, 120.0),
        $of(SettingKey::BottleOpenedOn, '2025-09-01'),
    ];
    $drip = fn(int $day, float $ml = 10.0) => new TopUp(500 + $day, new Moment(noonOf($day)), 7, 0.0, $ml, 3);
    /** @param list<DatedSetting> $more since written down on their day */
    $grade = function (array $drips, array $more = [], int $nowDay = 120) use ($shelf): array {
        $later = array_map(fn(DatedSetting $one) => new Recorded($one, $one->from->unixS), $more);
        $recorded = new RecordedBook(
            [new Recorded(1, 0)],
            [new Recorded(7, 0)],
            [...array_map(fn(DatedSetting $one) => new Recorded($one, 0), $shelf), ...$later],
            [],
            [],
            array_map(fn(TopUp $one) => new Recorded($one, $one->moment->unixS), $drips),
        );

        return array_map(
            fn(GradedPromise $one) => [$one->bottleId, $one->said, $one->came, $one->kept, round($one->off, 9)],
            GradeBottle::of($recorded, $recorded->asKnown(noonOf($nowDay)), noonOf(-1), noonOf($nowDay)),
        );
    };
    // 60 ml in the 60 days before the Monday: a ml a day, and 60 are left.
    $before = array_map(fn(int $n) => $drip(-60 + 10 * $n), range(0, 5));
    $pace = 60.0 / ((noonOf(0) - 7 * 3600 - noonOf(-60)) / HOW_RIGHT_DAY_S);
    $said = floor(60.0 / $pace);
    $every = fn(int $days, int $times): array => array_map(fn(int $n) => $drip($days * $n), range(1, $times));
    $promise = fn(array $grades): array => $grades[0] ?? [];
    // As before: empty on the 60th day.
    expect($promise($grade([...$before, ...$every(10, 6)])))->toBe([3, $said, 60.0, true, 0.0]);
    // Twice as fast: on the 30th. Within a fifth it would have been the 47th.
    expect($promise($grade([...$before, ...$every(5, 6)])))->toBe([3, $said, 30.0, false, round(($said - 30) / $said, 9)]);
    // Hardly used: it is not empty yet, and it is broken once a fifth more is over.
    expect($promise($grade([...$before, ...$every(10, 1)])))->toBe([3, $said, null, false, round((120 - $said) / $said, 9)]);
    expect($grade([...$before, ...$every(10, 1)], nowDay: 60))->toBe([]);
    // Put away half full: nobody knows. Put away with less than a dose: it was empty at the last drop.
    $gone = $of(SettingKey::BottleGone, 1, 40);
    expect($grade([...$before, ...$every(10, 1)], [$gone]))
        ->toBe([])
        ->and($promise($grade([...$before, ...$every(10, 6)], [$of(SettingKey::BottleGone, 1, 70)])))
        ->toBe([3, $said, 60.0, true, 0.0]);
    // One that nobody opened promises nothing, though the pace of the other would empty it in time.
    $spare = [
        new DatedSetting(SettingKey::BottleName, 4, new Moment(noonOf(-200)), 'Spare'),
        new DatedSetting(SettingKey::BottleVolumeMl, 4, new Moment(noonOf(-200)), 20.0),
    ];
    expect(array_unique(array_column($grade([...$before, ...$every(10, 6)], $spare), 0)))->toBe([3]);
    // Somebody looked: it was empty sooner than the doses say.
    expect($promise($grade([...$before, ...$every(10, 1)], [$of(SettingKey::BottleLeftMl, 2.0, 50)])))->toBe([3, $said, 50.0, true, 0.0]);
});

it('foretells eight of ten readings of 500 chains that wear as chains are taken to', function (): void {
    $dice = new Randomizer(new Mt19937(501));
    $share = fn(): float => $dice->getInt(1, 1_000_000) / 1_000_001;
    $normal = fn(): float => sqrt(-2.0 * log($share())) * cos(2.0 * M_PI * $share());
    $prior = WearPrior::ofInterval(0.5, 300.0, (new Settings([]))->lifeCurve());
    [$kept, $of] = [0, 0];
    for ($rider = 0; $rider < 500; $rider++) {
        $pctPerKm = ($prior->rateMedian / 1000.0) * exp($prior->rateLogSd * $normal());
        $initialPct = $prior->initialMean + $prior->initialSd * $normal();
        $read = fn(int $id, int $day, float $km) => new Reading(
            $id,
            new Moment(noonOf($day)),
            7,
            new DigitalReading($initialPct + $pctPerKm * $km + DigitalReading::UNCERTAINTY_PCT * $normal()),
        );
        $recorded = recorded([
            ...tuesdaysAndSaturdays(-20, 0),
            new Dip(1, new Moment(noonOf(-141)), 7),
            $read(2, -70, 1500.0),
            $read(3, -1, 3000.0),
        ]);
        foreach (GradeWear::of($recorded, $recorded->asKnown(noonOf(0)), noonOf(-80), noonOf(0), new KeptMemo()) as $one) {
            $of++;
            $kept += (int) $one->kept;
        }
    }
    expect($of)->toBe(1000);
    expect(Wilson::of($kept, $of, 0.001)->holds(0.8))->toBeTrue();
});

it('holds the plans of 500 bikes about as often as it says', function (): void {
    $dice = new Randomizer(new Mt19937(502));
    [$kept, $said, $of, $unsure] = [0, 0.0, 0, 0];
    for ($rider = 0; $rider < 500; $rider++) {
        $rides = [];
        for ($week = -16; $week < 5; $week++) {
            $rides[] = new Ride($week + 100, new Moment(noonOf(7 * $week + 2)), 1, $dice->getInt(10, 90), null, Condition::Dry);
            $rides[] = new Ride($week + 200, new Moment(noonOf(7 * $week + 5)), 1, $dice->getInt(10, 250), null, Condition::Dry);
        }
        $recorded = recorded([...$rides, new Dip(1, new Moment(noonOf(-2)), 7)]);
        foreach (GradePlan::of($recorded, $recorded->asKnown(noonOf(29)), noonOf(-1), noonOf(29), null, new KeptMemo()) as $one) {
            $of++;
            $kept += (int) $one->kept;
            $said += (float) $one->likely;
            $unsure += (int) ($one->likely < 1.0);
        }
    }
    expect($of)->toBe(500)->and($unsure)->toBeGreaterThan(50);
    expect(Wilson::of($kept, $of, 0.001)->holds($said / $of))->toBeTrue();
});
