<?php

declare(strict_types=1);

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Pot\LampOil;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\BathNow;
use Dripel\Core\PotDay\DippedThen;
use Dripel\Core\PotDay\PotCapacity;
use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayCourse;
use Dripel\Core\PotDay\PotDayDip;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayRecord;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PotWarning;
use Dripel\Core\PotDay\PowerProgram;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\PotDay\SoakSchool;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\PotDay\ShedPot;

/** @return list<string> "code chains from–end", in minutes */
function potDay(PotDayPlan $plan): array
{
    return array_map(
        fn(JobSpan $span) => preg_replace(
            '/ +/',
            ' ',
            sprintf(
                '%s %s %.1f–%.1f',
                $plan->steps[$span->step]->code,
                implode('+', $plan->steps[$span->step]->chains),
                $span->fromS / 60,
                $span->endS / 60,
            ),
        ) ?? '',
        JobRun::of($plan->steps, 0, [])->spans(0),
    );
}

it('fits as many coils into a pot as lie beside and on one another under the wax', function (
    float $wideMm,
    float $deepMm,
    float $waxG,
    int $chains,
    bool $covers,
    bool $runsOver,
): void {
    $capacity = PotCapacity::of(new Vessel($wideMm, $deepMm), $waxG, 250);
    expect([$capacity->chains, $capacity->coversOne, $capacity->overflowsWithOne])->toBe([$chains, $covers, $runsOver]);
})->with([
    // By hand: 130 mm wide is 132.7 cm²; 620 g are 805.2 ml, 60.7 mm; each chain adds 31.8 ml, 2.4 mm. Two layers: 65.5 ≥ 60.
    'one beside another no, two layers' => [130, 105, 620, 2, true, false],
    // 500 g: 48.9 + 2 · 2.4 = 53.7 mm, below 60.
    'one layer only' => [130, 105, 500, 1, true, false],
    // 180 mm is twice a coil: 254.5 cm², 900 g are 45.9 mm; with two chains 48.4.
    'two beside one another' => [180, 100, 900, 2, true, false],
    'too low for one' => [180, 100, 500, 0, false, false],
    'runs over with one' => [130, 62, 620, 0, true, true],
]);

it('lays the steps of three chains out so that waits run side by side', function (): void {
    $plan = PotDayPlan::of(ShedPot::terms(), [
        new PotDayChain(1, true),
        new PotDayChain(2, false),
        new PotDayChain(3, false, RinseSchool::HotWater),
    ]);
    // 1 is new and has an hour; 2 and 3 go through beside it. 3 was ridden wet: rinsed and dry long before the wax is hot. 2 comes out
    // after its five minutes; what the bath takes to come back only 3 waits for, hands free for other things meanwhile.
    expect(potDay($plan))
        ->toBe([
            'prepare 0.0–3.0',
            'plug_in 3.0–3.5',
            'rinse 3 3.5–6.5',
            'dry 3 6.5–21.5',
            'heat 3.5–132.4',
            'check 1+2 132.4–132.9',
            'in 1+2 132.9–133.2',
            'under 2 133.2–138.2',
            'lift 2 138.2–139.2',
            'hang 2 139.2–139.6',
            'recover 133.2–148.9',
            'check 3 148.9–149.4',
            'in 3 149.4–149.7',
            'set 2 139.6–154.6',
            'flex 2 154.6–156.1',
            'under 3 149.7–156.1',
            'lift 3 156.1–157.1',
            'hang 3 157.1–157.4',
            'set 3 157.4–172.4',
            'flex 3 172.4–173.9',
            'under 1 133.2–193.2',
            'lift 1 193.2–194.2',
            'hang 1 194.2–194.6',
            'off 194.6–195.1',
            'set 1 194.6–209.6',
            'flex 1 209.6–211.1',
        ])
        ->and($plan->warnings)
        ->toBe([])
        ->and($plan->steps[$plan->recordStep]->code)
        ->toBe('off')
        ->and(array_map(fn(PotDayDip $dip) => [$dip->chainId, $dip->batch, $dip->bySteel], $plan->dips))
        ->toBe([[1, 1, false], [2, 1, false], [3, 2, false]]);
    // The heat-up is pot.heat's, the cold shock pot.dip's.
    $heat = (new PotHeat())($plan->terms->pot);
    expect($plan->course()->celsius(210 + 60 * (float) $heat->minutesToTarget))
        ->toEqualWithDelta(80, 1e-6)
        ->and($plan->course()->celsius(JobRun::of($plan->steps, 0, [])->spans(0)[6]->startS))
        ->toEqualWithDelta($plan->dips[0]->mixedC, 1e-6);
});

/** @return list<int> in the order in which they go in */
function inOrder(PotDayPlan $plan): array
{
    return array_map(fn(PotDayDip $dip) => $dip->chainId, $plan->dips);
}

it('puts the cleanest in first and the muddiest last, or as somebody wants it, and warns', function (): void {
    $chains = [
        new PotDayChain(1, false, RinseSchool::HotWater, worst: Condition::Muddy),
        new PotDayChain(2, false, RinseSchool::HotWater, worst: Condition::Damp),
        new PotDayChain(3, false, worst: Condition::Dry),
        new PotDayChain(4, false),
        new PotDayChain(5, true, worst: Condition::Wet),
        new PotDayChain(6, false, worst: Condition::Indoor),
    ];
    $alone = fn(bool $inOrder) => PotDayPlan::of(ShedPot::terms(atOnce: 1), $chains, $inOrder);
    // Bare steel is stripped, whatever it was ridden in before; of those that bring nothing the longer soak first.
    expect(inOrder($alone(false)))
        ->toBe([5, 4, 6, 3, 2, 1])
        ->and($alone(false)->warnings)
        ->not->toContain(PotWarning::DirtyFirst)
        ->and(inOrder($alone(true)))
        ->toBe([1, 2, 3, 4, 5, 6])
        ->and($alone(true)->warnings)
        ->toContain(PotWarning::DirtyFirst);
    // What goes in together meets the same bath.
    $together = PotDayPlan::of(ShedPot::terms(), [$chains[2], $chains[5]], true);
    expect(inOrder($together))
        ->toBe([3, 6])
        ->and($together->warnings)
        ->not->toContain(PotWarning::DirtyFirst);
});

it('lets a soak by bubbles end with the bubbles, and holds the others', function (SoakSchool $school, bool $holds, int $leastS): void {
    $plan = PotDayPlan::of(ShedPot::terms(rewaxSoak: $school), [new PotDayChain(1, false)]);
    $under = array_values(array_filter($plan->steps, fn(JobStep $step) => $step->code === PotDayPlan::UNDER))[0];
    expect([$under->holds, $under->sign, $under->seconds])->toBe([$holds, 'bubbles', $leastS]);
})->with([
    'until none come' => [SoakSchool::Bubbles, false, 120],
    'at least five minutes' => [SoakSchool::Five, true, 300],
    'an hour' => [SoakSchool::Hour, true, 3600],
]);

it('holds a chain until its steel is as warm as the bath, and no longer for the bath’s sake', function (): void {
    // 4 kg of steel: the bath takes an hour to come back, the steel as long as any.
    $terms = ShedPot::terms(rewaxSoak: SoakSchool::Bubbles, atOnce: 1);
    $plan = PotDayPlan::of($terms, [new PotDayChain(1, false, massG: 900.0), new PotDayChain(2, false)]);
    $of = fn(string $code): array => array_values(array_filter($plan->steps, fn(JobStep $step) => $step->code === $code));
    [$first] = $of(PotDayPlan::UNDER);
    [$recover] = $of(PotDayPlan::RECOVER);
    expect($first->seconds)
        ->toBe(max(120, (int) ceil((float) $first->about['chain_s'])))
        ->and($recover->seconds)
        ->toBeGreaterThan((int) $first->seconds)
        ->and($plan->steps[(int) $recover->since]->code)
        ->toBe(PotDayPlan::IN)
        ->and($recover->skippable)
        ->toBeTrue();
});

/** @return list<string> how long each step is, what it ticks off, and whether it can be passed over */
function stepByStep(PotDayPlan $plan): array
{
    return array_map(
        fn(JobStep $step) => sprintf(
            '%s %s%s%s',
            $step->code,
            match (true) {
                $step->seconds === null => "{$step->handlingS} s by hand",
                in_array($step->code, ['heat', 'under'], true) => 'timed', // By pot.heat and pot.dip.
                default => "{$step->seconds} s",
            },
            $step->skippable ? '' : ', never passed over',
            $step->ticks === [] ? '' : ': ' . implode(' ', $step->ticks),
        ),
        $plan->steps,
    );
}

it('asks for the checks that keep people safe on every day, and lets anything else be passed over', function (
    PotDayTerms $terms,
    array $chains,
    array $steps,
): void {
    expect(stepByStep(PotDayPlan::of($terms, $chains)))->toBe($steps);
})->with([
    'jars, hot water, a softened wax, two powers and the scale' => [
        ShedPot::terms(wax: WaxKind::Softened, holdW: 45, program: PowerProgram::HighThenLow, weigh: true),
        [new PotDayChain(1, true, RinseSchool::TwoJars, rust: true, powder: true), new PotDayChain(2, false, RinseSchool::HotWater)],
        [
            'prepare 180 s by hand, never passed over: gloves nobody_small open_air stay',
            'jar_first 600 s',
            'jar_second 600 s',
            'jar_dry 10800 s, never passed over: jars_away no_smell',
            'plug_in 30 s by hand',
            'rinse 180 s by hand',
            'dry 900 s, never passed over: bone_dry',
            'heat timed, never passed over: all_liquid',
            'to_low 10 s by hand',
            'smear 120 s by hand',
            'weigh_before 60 s by hand',
            'check 30 s by hand, never passed over: dry no_smell rust_looked',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'set 900 s',
            'weigh_after 30 s by hand',
            'flex 90 s by hand',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'powder 60 s by hand',
            'off 30 s by hand, never passed over',
            'set 900 s',
            'weigh_after 30 s by hand',
            'flex 90 s by hand',
        ],
    ],
    'two re-waxes at once, weighed' => [
        ShedPot::terms(weigh: true),
        [new PotDayChain(1, false), new PotDayChain(2, false)],
        [
            'prepare 180 s by hand, never passed over: gloves nobody_small jars_away stay',
            'plug_in 30 s by hand',
            'heat timed, never passed over: all_liquid',
            'weigh_before 60 s by hand',
            'check 30 s by hand, never passed over: dry no_smell',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 40 s by hand',
            'off 30 s by hand, never passed over',
            'set 900 s',
            'weigh_after 60 s by hand',
            'flex 180 s by hand',
        ],
    ],
    'laid on the set wax: looked at before the plug, soaked from the melt; the wet one follows' => [
        ShedPot::terms(waxG: 500, wax: WaxKind::Blend, limitC: 90, targetC: 75, meltIn: true),
        [new PotDayChain(1, true), new PotDayChain(2, false, RinseSchool::HotWater)],
        [
            'prepare 180 s by hand, never passed over: gloves nobody_small jars_away stay',
            'turn_block 60 s by hand',
            'check 30 s by hand, never passed over: dry no_smell',
            'lay_on 60 s by hand, never passed over',
            'plug_in 30 s by hand',
            'rinse 180 s by hand',
            'dry 900 s, never passed over: bone_dry',
            'heat timed, never passed over: all_liquid',
            'stir 60 s by hand',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'stir 60 s by hand',
            'check 30 s by hand, never passed over: dry no_smell',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'off 30 s by hand, never passed over',
            'set 900 s',
            'flex 90 s by hand',
            'set 900 s',
            'flex 90 s by hand',
        ],
    ],
    'flat in a pan: the pull is practised cold' => [
        new PotDayTerms(
            new PotHeatInput(260, 18, 18, 90, 1.3, 80),
            new Vessel(180, 40),
            PotKind::Pan,
            WaxKind::Plain,
            100,
            holdW: 90,
            lay: PotLay::Flat,
        ),
        [new PotDayChain(1, false)],
        [
            'prepare 180 s by hand, never passed over: gloves nobody_small jars_away stay thermometer',
            'practise 60 s by hand',
            'plug_in 30 s by hand',
            'heat timed, never passed over: all_liquid',
            'check 30 s by hand, never passed over: dry no_smell',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'off 30 s by hand, never passed over',
            'set 900 s',
            'flex 90 s by hand',
        ],
    ],
    'a block of blend and one chain' => [
        ShedPot::terms(wax: WaxKind::Blend),
        [new PotDayChain(1, false)],
        [
            'prepare 180 s by hand, never passed over: gloves nobody_small jars_away stay',
            'turn_block 60 s by hand',
            'plug_in 30 s by hand',
            'heat timed, never passed over: all_liquid',
            'stir 60 s by hand',
            'check 30 s by hand, never passed over: dry no_smell',
            'in 20 s',
            'under timed',
            'lift 60 s',
            'hang 20 s by hand',
            'off 30 s by hand, never passed over',
            'set 900 s',
            'flex 90 s by hand',
        ],
    ],
]);

it('soaks what lay on the set wax from the melt, in a bath that it does not cool', function (): void {
    $plan = PotDayPlan::of(ShedPot::terms(waxG: 500, meltIn: true), [new PotDayChain(1, false)]);
    $when = fn(string $code): JobSpan => array_values(
        array_filter(JobRun::of($plan->steps, 0, [])->spans(0), fn(JobSpan $span) => $plan->steps[$span->step]->code === $code),
    )[0];
    $alone = PotDayPlan::of(ShedPot::terms(waxG: 500), [new PotDayChain(1, false)]);
    $heatS = fn(PotDayPlan $plan): int => array_values(array_filter($plan->steps, fn(JobStep $step) => $step->code === 'heat'))[0]
        ->seconds ?? 0;
    // The steel is heated with the wax: by pot.heat with its heat capacity beside the vessel's, and no later cold.
    $taken = (new PotHeat())(new PotHeatInput(500, 18, 18, 90, 1.3, 80, vesselJPerK: 1400 + 250 * 0.49));
    expect($plan->dips[0]->mixedC)
        ->toBe($plan->dips[0]->bathC)
        ->and($plan->dips[0]->bathC)
        ->toEqualWithDelta(80.0, 0.2)
        ->and($when('under')->fromS)
        ->toBe($when('heat')->endS)
        ->and($heatS($plan))
        ->toBe((int) ceil(60 * (float) $taken->minutesToTarget))
        ->and($heatS($plan))
        ->toBeGreaterThan($heatS($alone));
});

it('believes no melt of a bath that is still solid, and a fresh reading before its own curve', function (
    float $expectedC,
    ?array $reading,
    array $solidAndMelted,
): void {
    $bath = BathNow::of(ShedPot::terms(), $expectedC, $reading, 10_000);
    expect([$bath->solid(), $bath->readMelted()])->toBe($solidAndMelted);
})->with([
    'expected cold' => [40.0, null, [true, false]],
    'expected in its melting range: it may be' => [52.0, null, [false, false]],
    'read hot though expected cold' => [40.0, [9_500, 80.0], [false, true]],
    'read cold though expected hot' => [85.0, [9_500, 51.9], [true, false]],
    'read at the end of its range and at its limit' => [85.0, [9_500, 58.0], [false, true]],
    'read above its limit' => [85.0, [9_500, 100.1], [false, false]],
    'read a quarter of an hour ago' => [40.0, [9_100, 80.0], [false, true]],
    'read too long ago' => [40.0, [9_099, 80.0], [true, false]],
]);

it('covers a flat chain with little wax, and as many as lie beside one another', function (float $wideMm, float $waxG, array $flat): void {
    $capacity = PotCapacity::of(new Vessel($wideMm, 45), $waxG, 250, lay: PotLay::Flat);
    expect([$capacity->chains, $capacity->coversOne])->toBe($flat);
})->with([
    // 180 mm wide: 25,447 mm² of bottom; 250 g of wax are 325 ml, with 32 ml of steel 14.0 mm.
    'a small block in a pan' => [180.0, 250.0, [1, true]],
    'not enough for 12 mm' => [180.0, 200.0, [0, false]],
    'wide enough for two' => [260.0, 500.0, [2, true]],
    'two would lie in it, and only with both the wax is high enough for one' => [260.0, 440.0, [0, false]],
]);

it('puts fewer in at once where together they would make the wax set', function (): void {
    // At 66 °C the wax stays liquid with two of 400 g in it, by pot.dip, and not with two of 600 g.
    $plan = fn(float $massG) => PotDayPlan::of(ShedPot::terms(waxG: 620, targetC: 66), [
        new PotDayChain(1, false, massG: $massG),
        new PotDayChain(2, false, massG: $massG),
    ]);
    $dips = fn(float $massG) => array_map(fn(PotDayDip $dip) => [$dip->batch, $dip->staysLiquid], $plan($massG)->dips);
    expect(array_column($dips(400.0), 0))
        ->toBe([1, 1])
        ->and(array_column($dips(600.0), 0))
        ->toBe([1, 2]);
});

it('keeps every rule of the trade, whatever the chains', function (): void {
    $dice = new Randomizer(new Mt19937(11));
    for ($try = 0; $try < 60; $try++) {
        $chains = array_map(
            fn(int $id) => new PotDayChain(
                $id,
                $dice->getInt(0, 2) === 0,
                RinseSchool::cases()[$dice->getInt(0, 2)],
                $dice->getInt(180, 320),
                $dice->getInt(0, 4) === 0,
                $dice->getInt(0, 4) === 0,
            ),
            range(1, $dice->getInt(1, 6)),
        );
        $wax = WaxKind::cases()[$dice->getInt(0, 2)];
        $terms = ShedPot::terms(
            $dice->getInt(400, 800),
            90,
            90,
            75,
            $wax,
            $wax->limitC(),
            weigh: $dice->getInt(0, 1) === 1,
            meltIn: $dice->getInt(0, 1) === 1,
        );
        $plan = PotDayPlan::of($terms, $chains);
        $spans = JobRun::of($plan->steps, 0, [])->spans(0);
        $when = fn(string $code, int $id): JobSpan => array_values(
            array_filter(
                $spans,
                fn(JobSpan $span) => $plan->steps[$span->step]->code === $code && in_array($id, $plan->steps[$span->step]->chains, true),
            ),
        )[0];
        $inside = 0;
        foreach ($spans as $span) {
            $step = $plan->steps[$span->step];
            $inside +=
                count($step->chains) *
                match ($step->code) {
                    'lay_on' => 1,
                    'in' => ($step->about['melted_in'] ?? false) === true ? 0 : 1,
                    'lift' => -1,
                    default => 0,
                };
            expect($inside)
                ->toBeLessThanOrEqual(max(1, $plan->capacity->chains))
                ->and($step->since === null || $step->since < $span->step)
                ->toBeTrue();
        }
        foreach ($chains as $chain) {
            // Checked by a person right before it goes in, under for as long as school and bath ask, then hung and set.
            $laid = ($plan->steps[$when('in', $chain->id)->step]->about['melted_in'] ?? false) === true;
            $touchesWax = $when($laid ? 'lay_on' : 'in', $chain->id);
            expect($plan->steps[$touchesWax->step - 1]->code)
                ->toBe('check')
                ->and($when('check', $chain->id)->endS)
                ->toBe($touchesWax->startS)
                ->and(!$laid || $touchesWax->endS <= $spans[array_search('plug_in', array_column($plan->steps, 'code'), true)]->startS)
                ->toBeTrue()
                ->and($when('under', $chain->id)->endS - $when('under', $chain->id)->fromS)
                ->toBeGreaterThanOrEqual(60 * $terms->soak($chain)->leastMinutes())
                ->and($when('set', $chain->id)->endS - $when('hang', $chain->id)->endS)
                ->toBeGreaterThanOrEqual(900)
                ->and($when('flex', $chain->id)->startS)
                ->toBeGreaterThanOrEqual($when('set', $chain->id)->endS)
                ->and($plan->steps[$when('check', $chain->id)->step]->skippable)
                ->toBeFalse();
            if ($chain->rinse === RinseSchool::HotWater) {
                expect($when('check', $chain->id)->startS)->toBeGreaterThanOrEqual($when('dry', $chain->id)->endS);
            }
            if ($chain->rinse === RinseSchool::TwoJars) {
                expect((int) $plan->startsS(PotDayPlan::PLUG_IN))->toBeGreaterThanOrEqual($when('jar_dry', $chain->id)->endS);
            }
        }
        expect(array_map(fn(PotDayDip $dip) => $dip->chainId, $plan->dips))
            ->toEqualCanonicalizing(array_map(fn(PotDayChain $chain) => $chain->id, $chains))
            ->and(array_filter($plan->steps, fn($step) => $step->code === 'stir') !== [])
            ->toBe($wax === WaxKind::Blend)
            ->and(array_filter($plan->steps, fn($step) => $step->code === 'smear') !== [])
            ->toBe($wax === WaxKind::Softened);
    }
});

it('records what really became of each chain, passed over or not', function (): void {
    $plan = PotDayPlan::of(ShedPot::terms(500), [new PotDayChain(1, false, RinseSchool::HotWater), new PotDayChain(2, false)]);
    [$run, $skip] = [JobRun::of($plan->steps, 0, []), ['rinse', 'in', 'hang']];
    while (($turn = $run->current()) !== null && ($step = $run->step()) !== null) {
        // The rinse is passed over, one chain never goes in, one is hung by somebody else.
        $atS = max($turn->startS + 10, (int) $run->dueS());
        $passed =
            in_array($step->code, $skip, true) &&
            ($step->code !== 'in' || $step->chains === [2]) &&
            ($step->code !== 'hang' || $step->chains === [1]);
        $run = $run->after(
            new JobEvent(
                $passed ? JobEventKind::Skip : ($step->sign === null ? JobEventKind::Done : JobEventKind::Sign),
                $turn->position,
                $atS,
            ),
        );
    }
    $dipped = PotDayRecord::of($run);
    expect(array_map(fn(DippedThen $dip) => [$dip->chainId, $dip->rinsed, $dip->bubblesS !== null], $dipped))
        ->toBe([[1, false, true]])
        ->and($dipped[0]->soakS)
        ->toBeGreaterThanOrEqual(300)
        ->and($dipped[0]->atS)
        ->toBe(
            $run->endedS(
                array_search('hang', array_map(fn(JobStep $step) => $step->chains === [1] ? $step->code : '', $plan->steps), true),
            ),
        );
    // Each of its steps could be passed over but the checks and the switch.
    expect(
        array_values(
            array_unique(array_map(fn(JobStep $step) => $step->code, array_filter($plan->steps, fn(JobStep $step) => !$step->skippable))),
        ),
    )->toBe(['prepare', 'dry', 'heat', 'check', 'off']);
});

it('warns of what could go wrong', function (
    PotDayTerms $terms,
    array $warnings,
    bool $forbidden,
    PotDayChain $chain = new PotDayChain(1, false),
): void {
    $plan = PotDayPlan::of($terms, [$chain]);
    expect($plan->warnings)->toBe($warnings)->and($plan->forbidden())->toBe($forbidden);
})->with([
    'never melts: 18 + 50 / 1.3 is 56 °C' => fn() => [ShedPot::terms(watts: 50, holdW: 50), [PotWarning::NeverMelts], true],
    'never hot: 18 + 75 / 1.3 is 76 °C' => fn() => [ShedPot::terms(watts: 75, holdW: 75), [PotWarning::NeverHot], true],
    'overheats: on to 133 °C, and a soak of ten minutes is enough' => fn() => [
        ShedPot::terms(watts: 150, holdW: 150, targetC: 96, program: PowerProgram::High),
        [PotWarning::Overheats],
        false,
    ],
    'high until hot, then low' => fn() => [ShedPot::terms(watts: 150, holdW: 90, program: PowerProgram::HighThenLow), [], false],
    'too full' => fn() => [ShedPot::terms(1080), [PotWarning::Overfull], true],
    'too low, and gritty' => fn() => [ShedPot::terms(260, grit: 4.2), [PotWarning::TooLow, PotWarning::Gritty], false],
    'a race chain into an everyday pot, with a clean one there' => fn() => [
        ShedPot::terms(otherForRaces: true),
        [PotWarning::RaceElsewhere],
        false,
        new PotDayChain(1, false, race: true),
    ],
    'a race chain where no pot is kept clean' => fn() => [ShedPot::terms(), [], false, new PotDayChain(1, false, race: true)],
    'an everyday chain, ridden dry, into the clean pot' => fn() => [
        ShedPot::terms(forRaces: true),
        [PotWarning::KeptClean],
        false,
        new PotDayChain(1, false, worst: Condition::Dry),
    ],
    'bare steel into the clean pot' => fn() => [ShedPot::terms(forRaces: true), [], false, new PotDayChain(1, true)],
    'a muddy one into the clean pot, race chain or not' => fn() => [
        ShedPot::terms(forRaces: true),
        [PotWarning::NeverDirty],
        true,
        new PotDayChain(1, false, worst: Condition::Wet, race: true),
    ],
    'a link that has its grease yet stays in its chain' => fn() => [
        ShedPot::terms(linkIn: true),
        [PotWarning::GreasedLink],
        true,
        new PotDayChain(1, false, linkClean: false),
    ],
    'a clean link stays in its chain' => fn() => [ShedPot::terms(linkIn: true), [], false],
    'a plate that nobody read' => fn() => [ShedPot::terms(power: PowerKnown::Usual), [PotWarning::PowerUsual], false],
    'overheated once' => fn() => [ShedPot::terms(overheatedBefore: true), [PotWarning::Spent], false],
]);

it('refuses a bath above its limit or not all liquid', function (float $targetC): void {
    ShedPot::terms(targetC: $targetC);
})
    ->with([100.5, 55.0])
    ->throws(InvalidInput::class);

it('softens a wax by lamp oil, by mass fraction', function (): void {
    // By hand: 400 g with 5 % oil hold 20 g; 4.255 g more make 24.255 of 404.255, 6 %.
    expect(LampOil::toAddG(400, 0.05, 0.06))
        ->toEqualWithDelta(4.2553, 1e-4)
        ->and((20 + LampOil::toAddG(400, 0.05, 0.06)) / (400 + LampOil::toAddG(400, 0.05, 0.06)))
        ->toEqualWithDelta(0.06, 1e-12)
        ->and(LampOil::stepsG(400, 0.05, 2)[1])
        ->toEqualWithDelta(LampOil::toAddG(404.255319, 0.06, 0.07), 1e-6)
        ->and(LampOil::stepsG(400, 0.149, 3))
        ->toBe([])
        ->and(fn() => LampOil::toAddG(400, 0.05, 0.05))
        ->toThrow(InvalidInput::class);
});

it('sees the same bath whenever the day began', function (): void {
    $plan = PotDayPlan::of(ShedPot::terms(), [new PotDayChain(1, true), new PotDayChain(2, false)]);
    $fromS = 1_795_630_800;
    $later = PotDayCourse::of($plan->terms, $plan->massesG, $plan->steps, JobRun::of($plan->steps, $fromS, [])->spans($fromS), $fromS);
    foreach (range(0, 210, 15) as $minute) {
        expect($later->celsius(60 * $minute))->toEqualWithDelta($plan->course()->celsius(60 * $minute), 1e-9);
    }
});

it('rinses two in a minute each, after two for the water, and says where a quick link goes only where there is one', function (): void {
    $plan = fn(bool $link) => PotDayPlan::of(
        ShedPot::terms(),
        array_map(fn(int $id) => new PotDayChain($id, false, RinseSchool::HotWater, quickLink: $link), [1, 2]),
    );
    $step = fn(PotDayPlan $plan, string $code): JobStep => array_values(
        array_filter($plan->steps, fn(JobStep $one) => $one->code === $code),
    )[0];
    expect($step($plan(true), 'rinse')->handlingS)
        ->toBe(240)
        ->and(array_key_exists('link_in', $step($plan(true), 'in')->about))
        ->toBeTrue()
        ->and(array_key_exists('link_in', $step($plan(false), 'in')->about))
        ->toBeFalse();
});
