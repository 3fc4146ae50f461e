<?php

declare(strict_types=1);

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind as Kind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\DippedThen;
use Dripel\Core\PotDay\DryBy;
use Dripel\Core\PotDay\PotCapacity;
use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayRecord;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\SoakSchool;
use Dripel\Core\PotDay\WaxedSo;

/**
 * A pot day from 1000 on, a minute for each step unless it is said: each step as [code, chains, kind, minutes, what was said].
 *
 * @param list<array{0: string, 1: list<int>, 2?: Kind, 3?: int, 4?: string}> $steps
 */
function evening(array $steps): JobRun
{
    $atS = 1000;

    return JobRun::of(
        array_map(
            fn(array $step) => new JobStep($step[0], about: ['oil_g' => '4 4.1 0'], againFrom: 0, chains: $step[1], skippable: true),
            $steps,
        ),
        1000,
        array_map(
            function (array $step, int $i) use (&$atS): JobEvent {
                return new JobEvent($step[2] ?? Kind::Done, $i, ($atS += 60 * ($step[3] ?? 1)), $step[4] ?? null);
            },
            $steps,
            array_keys($steps),
        ),
    );
}

/** @return list<list<mixed>> */
function dippedIn(array $steps): array
{
    return array_map(
        fn(DippedThen $one) => [$one->chainId, $one->atS, $one->inS, $one->soakS, $one->rinsed, $one->powder, $one->partly],
        PotDayRecord::of(evening($steps)),
    );
}

it('takes a chain for waxed that went in and was hung, with what it had', function (array $steps, array $dips): void {
    expect(dippedIn($steps))->toBe($dips);
})->with([
    'in, under ten minutes, lifted, hung' => [
        [['in', [1]], ['under', [1], Kind::Done, 10], ['lift', [1]], ['hang', [1]]],
        [[1, 1780, 1000, 600, false, false, false]],
    ],
    'hung without a lift of its own: under until it was hung' => [
        [['in', [1]], ['under', [1], Kind::Done, 10], ['hang', [1], Kind::Done, 2]],
        [[1, 1780, 1000, 600, false, false, false]],
    ],
    'two in one batch' => [
        [['in', [1, 2]], ['under', [1, 2], Kind::Done, 5], ['lift', [2]], ['hang', [2]], ['lift', [1]], ['hang', [1]]],
        [[2, 1480, 1000, 300, false, false, false], [1, 1600, 1000, 420, false, false, false]],
    ],
    'rinsed before, powdered after' => [
        [['rinse', [1]], ['in', [1]], ['hang', [1]], ['powder', [1]]],
        [[1, 1180, 1060, 0, true, true, false]],
    ],
    'through two jars counts as rinsed, through one does not' => [
        [['jar_first', [1, 2]], ['jar_second', [1]], ['in', [1, 2]], ['hang', [1]], ['hang', [2]]],
        [[1, 1240, 1120, 0, true, false, false], [2, 1300, 1120, 60, false, false, false]],
    ],
    'a rinse and a powder that were passed over were not had' => [
        [['rinse', [1], Kind::Skip], ['in', [1]], ['hang', [1]], ['powder', [1], Kind::Skip]],
        [[1, 1180, 1060, 0, false, false, false]],
    ],
    'it did not go in' => [[['in', [1], Kind::Skip], ['hang', [1]]], []],
    'it was not hung' => [[['in', [1]], ['lift', [1]]], []],
    'who lifted it does not matter' => [
        [['in', [1]], ['lift', [1], Kind::Skip], ['hang', [1], Kind::Skip]],
        [[1, 1180, 1000, 0, false, false, false]],
    ],
    'under for too short a time: partly' => [
        [['in', [1]], ['under', [1], Kind::Skip, 1, WaxedSo::Partly->value], ['hang', [1]]],
        [[1, 1180, 1000, 60, false, false, true]],
    ],
    'taken for waxed all the same' => [
        [['in', [1]], ['under', [1], Kind::Skip, 1, WaxedSo::Fully->value], ['hang', [1]]],
        [[1, 1180, 1000, 60, false, false, false]],
    ],
    'not waxed' => [[['in', [1]], ['under', [1], Kind::Skip, 1, WaxedSo::No->value], ['hang', [1]]], []],
]);

it('counts no step that is not done', function (): void {
    $steps = [new JobStep('in', chains: [1]), new JobStep('hang', chains: [1])];
    expect(PotDayRecord::of(JobRun::of($steps, 0, [new JobEvent(Kind::Done, 0, 60)])))->toBe([]);
});

it('keeps when the bubbles stopped', function (): void {
    $steps = [
        new JobStep('in', chains: [1]),
        new JobStep('under', 300, chains: [1], sign: 'bubbles', holds: true),
        new JobStep('hang', chains: [1]),
    ];
    $run = JobRun::of($steps, 0, [
        new JobEvent(Kind::Done, 0, 60),
        new JobEvent(Kind::Sign, 1, 200),
        new JobEvent(Kind::Done, 1, 400),
        new JobEvent(Kind::Done, 2, 460),
    ]);
    expect(PotDayRecord::of($run)[0]->bubblesS)->toBe(200);
});

it('knows how much lamp oil was added in which round, and when no more would help', function (): void {
    $run = evening([['smear', [], Kind::Again, 3], ['smear', [], Kind::Again, 2]]);
    expect(PotDayRecord::oil($run))
        ->toBe([[1180, 4.0], [1300, 4.1]])
        ->and(PotDayRecord::oil(evening([['smear', []]])))
        ->toBe([])
        ->and([PotDayRecord::oilG('4 4.1', 1), PotDayRecord::oilG('4 4.1', 2), PotDayRecord::oilG('4 4.1', 3), PotDayRecord::oilG('', 1)])
        ->toBe([4.0, 4.1, null, null]);
});

it('knows what a chain took along only where both masses can be', function (?float $before, ?float $after, ?float $pickup): void {
    expect(PotDayRecord::pickupG($before, $after))->toEqual($pickup);
})->with([[250.0, 256.0, 6.0], [250.0, 250.0, 0.0], [250.0, 249.0, null], [null, 256.0, null], [250.0, null, null]]);

it('finds the heat-up of the wax alone: from the plug to the change of power, the look or the heat, whatever came first', function (
    array $steps,
    ?array $span,
): void {
    expect(PotDayRecord::heatUp(evening($steps)))->toBe($span);
})->with([
    'to low' => [[['plug_in', []], ['to_low', [], Kind::Done, 30], ['heat', [], Kind::Done, 30]], [1060, 2860]],
    'straight to the bath' => [[['plug_in', []], ['heat', [], Kind::Done, 40], ['check', []]], [1060, 3460]],
    'never plugged in' => [[['heat', [], Kind::Done, 40]], null],
    'never got hot' => [[['plug_in', []]], null],
]);

it('takes as many coils as lie side by side and are covered, and no more than the pot holds', function (
    float $widthMm,
    float $heightMm,
    float $waxG,
    array $expected,
): void {
    $capacity = PotCapacity::of(new Vessel($widthMm, $heightMm), $waxG, 250.0);
    expect([$capacity->chains, $capacity->coversOne, $capacity->overflowsWithOne])->toBe($expected);
})->with([
    // 130 mm wide: 500 g of wax at 0.77 g/ml with 32 ml of steel stand 51 mm high. One coil of 30 mm is covered, two are not quite.
    'a small pot' => [130.0, 100.0, 500.0, [1, true, false]],
    'with more wax two, one on the other' => [130.0, 100.0, 650.0, [2, true, false]],
    'too little for one' => [130.0, 100.0, 200.0, [0, false, false]],
    'so full that one runs over' => [130.0, 60.0, 650.0, [0, true, true]],
    'twice as wide as a coil: two in a layer' => [180.0, 100.0, 700.0, [2, true, false]],
    'a hair less wide: one' => [179.9, 100.0, 700.0, [1, true, false]],
    'seven in a layer, twelve at most' => [270.0, 200.0, 4500.0, [12, true, false]],
    'seven and no second layer' => [270.0, 100.0, 1900.0, [7, true, false]],
]);

it('keeps the terms of a pot day as they are, there and back', function (): void {
    $terms = new PotDayTerms(
        new PotHeatInput(500.0, 18.0, 20.0, 120.0, 1.3, 80.0, 0.9),
        new Vessel(130.0, 90.0),
        PotKind::SlowCooker,
        WaxKind::Plain,
        100.0,
        holdW: 60.0,
        oilFraction: 0.02,
        grit: 1.5,
        overheatedBefore: true,
        linkIn: true,
        weigh: true,
    );
    expect(PotDayTerms::fromArray($terms->toArray())->toArray())
        ->toBe($terms->toArray())
        ->and(PotDayTerms::fromArray($terms->toArray())->jars)
        ->toBe([]);
});

it('heats to eighty, or twelve below the limit of a soft wax, and neither above the limit nor below the melt', function (): void {
    expect(array_map(PotDayTerms::usualTargetC(...), [120.0, 100.0, 92.0, 91.0, 80.0]))->toBe([80.0, 80.0, 80.0, 79.0, 68.0]);
    $terms = fn(float $targetC, float $limitC) => new PotDayTerms(
        new PotHeatInput(500.0, 18.0, 20.0, 120.0, 1.3, $targetC),
        new Vessel(130.0, 90.0),
        PotKind::SlowCooker,
        WaxKind::Plain,
        $limitC,
    );
    $meltToC = (new PotHeatInput(500.0, 18.0, 20.0, 120.0, 1.3, 80.0))->wax->meltToC;
    expect([$terms(100.0, 100.0)->limitC, $terms($meltToC, 100.0)->pot->targetC])->toBe([100.0, $meltToC]);
    foreach ([[100.1, 100.0], [$meltToC - 0.1, 100.0]] as [$targetC, $limitC]) {
        expect(fn() => $terms($targetC, $limitC))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('target_c'));
    }
});

it('soaks a first wax and a re-wax by their own schools', function (): void {
    expect(array_map(fn(SoakSchool $school) => $school->leastMinutes(), SoakSchool::cases()))->toBe([2.0, 5.0, 7.5, 10.0, 60.0]);
    $terms = new PotDayTerms(
        new PotHeatInput(500.0, 18.0, 20.0, 120.0, 1.3, 80.0),
        new Vessel(130.0, 90.0),
        PotKind::SlowCooker,
        WaxKind::Plain,
        100.0,
        firstSoak: SoakSchool::Ten,
        rewaxSoak: SoakSchool::Bubbles,
        dryBy: DryBy::cases()[0],
    );
    expect([$terms->soak(new PotDayChain(1, first: true)), $terms->soak(new PotDayChain(2, first: false))])->toBe([
        SoakSchool::Ten,
        SoakSchool::Bubbles,
    ]);
});
