<?php

declare(strict_types=1);

use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DeepClean;
use Dripel\Core\Drip\DripBox;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\DripDose;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Drip\DripManner;
use Dripel\Core\Drip\DripNeeds;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\DripPlan;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\Terms;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxState;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Wear\DigitalReading;

const DRIP_DAY_S = 86_400;

/**
 * A shelf on day 200: what each bottle holds, and what was dripped from which, day by day.
 *
 * @param array<int, array<string, mixed>> $bottles by id: volume, opened, left (ml seen), at (the day it was seen), gone
 * @param list<array{int, float|null, int|null}> $topUps day, ml, bottle
 *
 * @return list<BottleState>
 */
function dripShelf(array $bottles, array $topUps, int $day = 200): array
{
    $settings = [];
    foreach ($bottles as $id => $of) {
        $set = function (SettingKey $key, mixed $value, int $at = 0) use (&$settings, $id): void {
            $settings[] = new DatedSetting($key, $id, new Moment($at * DRIP_DAY_S), $value);
        };
        $set(SettingKey::BottleName, "Bottle {$id}");
        $set(SettingKey::BottleVolumeMl, $of['volume'] ?? 100);
        isset($of['opened']) && $set(SettingKey::BottleOpenedOn, $of['opened']);
        isset($of['left']) && $set(SettingKey::BottleLeftMl, $of['left'], $of['at'] ?? 0);
        isset($of['gone']) && $set(SettingKey::BottleGone, 1);
    }

    return BottleState::all(
        new Book(
            [1],
            [1],
            new Settings($settings),
            [],
            [],
            array_map(
                fn(array $one, int $n) => new TopUp($n + 1, new Moment($one[0] * DRIP_DAY_S), 1, 50.0, $one[1], $one[2]),
                $topUps,
                array_keys($topUps),
            ),
        ),
        $day * DRIP_DAY_S,
    );
}

it('keeps account of each bottle: what it gave since it was full, or since somebody looked', function (
    array $bottle,
    array $topUps,
    float $leftMl,
    int $given,
): void {
    [$state] = dripShelf([7 => $bottle], $topUps);
    expect([$state->bottleId, $state->leftMl, $state->given])->toBe([7, $leftMl, $given]);
})->with([
    'untouched' => [['volume' => 120], [], 120.0, 0],
    'two doses' => [['volume' => 120], [[150, 5.0, 7], [160, 6.0, 7]], 109.0, 2],
    'of another bottle' => [['volume' => 120], [[150, 5.0, 8], [160, 6.0, null]], 120.0, 0],
    'a dose that nobody measured' => [['volume' => 120], [[150, null, 7]], 120.0, 1],
    'seen since: only what came after counts' => [
        ['volume' => 120, 'left' => 40.0, 'at' => 155],
        [[150, 5.0, 7], [155, 3.0, 7], [160, 6.0, 7]],
        34.0,
        3,
    ],
    'no less than nothing' => [['volume' => 10], [[150, 8.0, 7], [160, 6.0, 7]], 0.0, 2],
    'what lies ahead was not given yet' => [['volume' => 120], [[150, 5.0, 7], [200, 2.0, 7], [201, 6.0, 7]], 113.0, 2],
]);

it('tells the pace of the last ninety days, over at least two weeks, and when the shelf is empty at it', function (
    array $topUps,
    float $paceMl,
    ?string $emptyOn,
): void {
    [$state] = dripShelf([7 => ['volume' => 100]], $topUps);
    expect($state->paceMl)->toEqualWithDelta($paceMl, 1e-12)->and($state->emptyOn)->toBe($emptyOn);
})->with([
    'nothing yet' => [[], 0.0, null],
    'the first yesterday: as if over two weeks' => [[[199, 7.0, 7]], 0.5, gmdate('Y-m-d', (200 + 186) * DRIP_DAY_S)],
    'since twenty days' => [[[180, 10.0, 7]], 0.5, gmdate('Y-m-d', (200 + 180) * DRIP_DAY_S)],
    'for longer than ninety days: by those alone' => [[[100, 50.0, null], [150, 45.0, null]], 0.5, gmdate('Y-m-d', 400 * DRIP_DAY_S)],
    'just ninety days ago is past' => [[[110, 45.0, null]], 0.0, null],
    'nobody measured' => [[[199, null, 7]], 0.0, null],
]);

it('empties the shelf in its order: the opened ones first, of those the emptiest; what is gone is not there', function (): void {
    $states = dripShelf(
        [
            1 => ['volume' => 100],
            2 => ['volume' => 90, 'opened' => '1970-05-01'],
            3 => ['volume' => 50, 'opened' => '1970-05-01'],
            4 => ['volume' => 10, 'opened' => '1970-05-01', 'gone' => true],
            5 => ['volume' => 50, 'opened' => '1970-05-01'],
        ],
        [[180, 20.0, null]],
    );
    // 1 ml a day: 50 ml last 50 days, the next 50 another 50, and so on.
    expect(array_map(fn(BottleState $one) => [$one->bottleId, $one->emptyOn], $states))
        ->toBe(
            array_map(fn(array $one) => [$one[0], gmdate('Y-m-d', (200 + $one[1]) * DRIP_DAY_S)], [[3, 50], [5, 100], [2, 190], [1, 290]]),
        )
        ->and([$states[0]->openedOn, $states[3]->openedOn])
        ->toBe(['1970-05-01', null])
        ->and([$states[0]->does(50.0), $states[0]->does(50.1), $states[0]->does(0.0)])
        ->toBe([true, false, true]);
});

it('wants water where rain or mud was the worst since it last had wax, and two coats where it is bare and never had drip wax', function (
    array $events,
    array $rides,
    ?Condition $wash,
    bool $new,
): void {
    $history = new ChainHistory(
        1,
        Rides::of(
            array_map(
                fn(array $ride, int $n) => new Ride($n + 1, new Moment($ride[0]), 1, 10.0, null, $ride[1]),
                $rides,
                array_keys($rides),
            ),
        ),
        $events,
    );
    $needs = DripNeeds::of($history, WaxState::derive($history, new Terms(300.0, null, 0.5), new Settings([])));
    expect([$needs->wash, $needs->new])->toBe([$wash, $new]);
    $choices = $needs->choices(DripPlace::InBox, ExcessSchool::Leave);
    expect([$choices->place, $choices->washed, $choices->warmed, $choices->coats, $choices->excess, $choices->brushedIn])->toBe([
        DripPlace::InBox,
        $wash !== null,
        true,
        $new ? 2 : 1,
        ExcessSchool::Leave,
        false,
    ]);
})->with([
    'dry, never dripped' => [[], [[5, Condition::Dry]], null, true],
    'dust is brushed off, mud is not' => [[], [[5, Condition::Muddy], [6, Condition::Dusty], [7, Condition::Wet]], Condition::Muddy, true],
    'before its dip' => [[new Dip(1, new Moment(10), 1)], [[5, Condition::Wet]], null, false],
    'after its dip' => [[new Dip(1, new Moment(10), 1)], [[5, Condition::Muddy], [15, Condition::Wet]], Condition::Wet, false],
    'stripped of its hot wax' => [[new Dip(1, new Moment(3), 1), new Strip(2, new Moment(10), 1)], [[5, Condition::Dry]], null, true],
    'stripped of its drip wax' => [
        [new TopUp(1, new Moment(3), 1, 50.0), new Strip(2, new Moment(10), 1)],
        [[5, Condition::Dry]],
        null,
        false,
    ],
    'came without wax' => [[new Opening(1, new Moment(10), 1, 500.0, WaxThen::None, 0.0)], [], null, true],
    'before its drip' => [[new Dip(1, new Moment(3), 1), new TopUp(2, new Moment(10), 1, 50.0)], [[5, Condition::Wet]], null, false],
    'after what it came with' => [
        [new Opening(1, new Moment(10), 1, 500.0, WaxThen::Known, 0.0)],
        [[5, Condition::Wet], [15, Condition::Muddy]],
        Condition::Muddy,
        false,
    ],
    'a reading is no wax' => [
        [new Dip(1, new Moment(3), 1), new Reading(2, new Moment(10), 1, new DigitalReading(0.1))],
        [[5, Condition::Wet]],
        Condition::Wet,
        false,
    ],
]);

it('lays out the steps for the bike and for the box, coat by coat', function (DripChoices $choices, array $codes, int $applied): void {
    $plan = DripPlan::of($choices, 116, 10.0);
    expect(array_map(fn(JobStep $step) => $step->code, $plan->steps))->toBe($codes)->and($plan->appliedStep)->toBe($applied);
})->with([
    'on the bike, dry, one coat' => [
        new DripChoices(DripPlace::OnBike, false, false, 1, ExcessSchool::Wipe),
        ['protect', 'dry_cloth', 'shake_bottle', 'cross_chain', 'drops', 'flex', 'gears', 'how_much', 'leave', 'wipe_excess', 'uncover'],
        7,
    ],
    'on the bike, washed and warmed, two coats, brushed in' => [
        new DripChoices(DripPlace::OnBike, true, true, 2, ExcessSchool::Leave, true),
        [
            'protect',
            'brush_water',
            'blow_dry',
            'warm_bottle',
            'shake_bottle',
            'cross_chain',
            'drops',
            'flex',
            'gears',
            'leave',
            'cover_again',
            'shake_bottle',
            'drops',
            'flex',
            'gears',
            'how_much',
            'leave',
            'leave_excess',
            'brush_in',
            'uncover',
        ],
        15,
    ],
    'in the box' => [
        new DripChoices(DripPlace::InBox, false, true, 1, ExcessSchool::Wipe),
        [
            'take_off',
            'dry_cloth',
            'warm_bottle',
            'shake_bottle',
            'cover',
            'shake_box',
            'shake_box',
            'shake_box',
            'lift_slowly',
            'pour_back',
            'how_much',
            'leave',
            'wipe_excess',
            'put_on',
            'sweep_up',
        ],
        10,
    ],
]);

it('asks nothing of a single speed that it has not: no derailleur, no gears, no crossed chain', function (
    DripPlace $place,
    array $codes,
): void {
    $plan = DripPlan::of(new DripChoices($place, false, false, 1, ExcessSchool::Wipe), 100, 10.0, new Drivetrain(1));
    expect(array_map(fn(JobStep $step) => $step->code, $plan->steps))
        ->toBe($codes)
        ->and(array_merge(...array_map(fn(JobStep $step) => $step->ticks, $plan->steps)))
        ->not->toContain('tension_out')
        ->and($plan->steps[$plan->appliedStep]->code)
        ->toBe('how_much');
})->with([
    'on the bike' => [
        DripPlace::OnBike,
        ['protect_single', 'dry_cloth', 'shake_bottle', 'drops', 'flex', 'how_much', 'leave', 'wipe_excess', 'uncover'],
    ],
    'in the box' => [
        DripPlace::InBox,
        [
            'take_off',
            'dry_cloth',
            'shake_bottle',
            'cover',
            'shake_box',
            'shake_box',
            'shake_box',
            'lift_slowly',
            'pour_back',
            'how_much',
            'leave',
            'wipe_excess',
            'put_on_single',
            'sweep_up',
        ],
    ],
]);

it('times what has a time, and says how many drops', function (): void {
    $steps = array_column(
        DripPlan::of(new DripChoices(DripPlace::OnBike, true, true, 1, ExcessSchool::Wipe, true), 116, 10.5)->steps,
        null,
        'code',
    );
    expect([
        $steps['warm_bottle']->seconds,
        $steps['leave']->seconds,
        $steps['drops']->handlingS,
        $steps['brush_water']->handlingS,
        $steps['blow_dry']->handlingS,
        $steps['brush_in']->handlingS,
    ])
        ->toBe([300, 37_800, 348, 240, 240, 180])
        ->and($steps['drops']->about)
        ->toBe(['coat' => 1, 'coats' => 1, 'drops' => 116, 'joint' => 'quick_link'])
        ->and($steps['protect']->ticks)
        ->toBe(['disc_covered', 'tension_out']);
    $box = array_column(
        DripPlan::of(new DripChoices(DripPlace::InBox, false, false, 1, ExcessSchool::Wipe), 116, 8.0)->steps,
        null,
        'code',
    );
    expect([$box['shake_box']->seconds, $box['lift_slowly']->seconds, $box['leave']->seconds])->toBe([120, 600, 28_800]);
});

it('takes no coats, pitches or drops that cannot be', function (Closure $make, ?string $path): void {
    $path === null ? expect($make())->not->toBeNull() : expect($make)->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'a chain that fills its box' => [fn() => (new DripBox(70.0))->coversMl(400.0), 'box_mm'],
    'a box that no chain fits into' => [fn() => new DripBox(69.0), 'box_mm'],
    'a bucket' => [fn() => new DripBox(201.0), 'box_mm'],
    'the smallest' => [fn() => new DripBox(70.0), null],
    'the largest' => [fn() => new DripBox(200.0), null],
    'one coat' => [fn() => new DripChoices(DripPlace::OnBike, false, false, 1, ExcessSchool::Wipe), null],
    'three coats' => [fn() => new DripChoices(DripPlace::OnBike, false, false, 3, ExcessSchool::Wipe), null],
    'no coat' => [fn() => new DripChoices(DripPlace::OnBike, false, false, 0, ExcessSchool::Wipe), 'coats'],
    'four coats' => [fn() => new DripChoices(DripPlace::OnBike, false, false, 4, ExcessSchool::Wipe), 'coats'],
    'a thousand pitches' => [fn() => new DripDoseInput(1000, 1.0, 100, 0.05, null, 0.0), null],
    'more than that' => [fn() => new DripDoseInput(1001, 1.0, 1, 0.05, null, 0.0), 'pitches'],
    'none' => [fn() => new DripDoseInput(0, 1.0, 1, 0.05, null, 0.0), 'pitches'],
    'coats without end' => [fn() => new DripDoseInput(116, 1.0, 101, 0.05, null, 0.0), 'coats'],
    'no drops' => [fn() => new DripDoseInput(116, 0.0, 1, 0.05, null, 0.0), 'drops_per_roller'],
    'an empty bottle' => [fn() => new DripDoseInput(116, 1.0, 1, 0.05, 0.0, 0.0), 'bottle_ml'],
    'dry at once' => [fn() => new DripDoseInput(116, 1.0, 1, 0.05, 1.0, 0.0, 0.0), 'dry_hours'],
]);

it('has nothing left in a bottle that does not do even this dose', function (float $bottleMl, int $more): void {
    expect((new DripDose())(new DripDoseInput(100, 1.0, 1, 0.05, $bottleMl, 0.0))->applicationsLeft)->toBe($more);
})->with([[4.0, 0], [5.0, 0], [9.9, 0], [10.0, 1], [15.0, 2]]);

it('pours what covers a coiled chain in its box, 40 to 80 ml in a usual one (common practice)', function (float $boxMm, float $ml): void {
    expect((new DripBox($boxMm))->coversMl(250.0))->toEqualWithDelta($ml, 0.1);
})->with([
    // pi/4 · 90² · 12 / 1000 = 76.3 ml, less 31.8 ml of steel.
    [90.0, 44.5],
    [100.0, 62.4],
    [108.0, 78.1],
]);

it('has the grease off a quick link that was opened new before any wax comes on', function (): void {
    $steps = DripPlan::of(new DripChoices(DripPlace::OnBike, true, true, 1, ExcessSchool::Wipe), 116, 10.0, linkGreased: true)->steps;
    expect([$steps[1]->code, $steps[1]->ticks, $steps[1]->skippable])->toBe(['clean_link', ['link_bare'], false]);
});

it('draws a line instead of drops, covers no brake in a hub, and brushes a boxed chain on a board', function (): void {
    $codes = fn(DripChoices $choices, Drivetrain $bike): array => array_map(
        fn(JobStep $step) => $step->code . ($step->ticks === [] ? '' : ': ' . implode(' ', $step->ticks)),
        DripPlan::of($choices, 116, 10.0, $bike)->steps,
    );
    expect(
        $codes(
            new DripChoices(DripPlace::OnBike, false, false, 2, ExcessSchool::Leave, manner: DripManner::Line),
            new Drivetrain(8, Brakes::Hub),
        ),
    )
        ->toBe([
            'protect: tension_out',
            'dry_cloth',
            'shake_bottle',
            'cross_chain',
            'line',
            'flex',
            'gears',
            'leave',
            'shake_bottle',
            'line',
            'flex',
            'gears',
            'how_much',
            'leave',
            'leave_excess',
            'uncover: brake_bites',
        ])
        ->and($codes(new DripChoices(DripPlace::InBox, false, false, 1, ExcessSchool::Leave, true), new Drivetrain()))
        ->toContain('brush_board');
});

it('asks for a full clean by the school: after two applications or mud, or never', function (
    int $applications,
    Condition $ridden,
    DripCleanSchool $school,
    bool $due,
): void {
    $events = [new Strip(1, new Moment(1), 1)];
    for ($n = 0; $n < $applications; $n++) {
        $events[] = new TopUp(10 + $n, new Moment(10 + $n), 1, 200.0);
    }
    $history = new ChainHistory(1, Rides::of([new Ride(50, new Moment(50), 1, 30.0, null, $ridden)]), $events);
    expect(DeepClean::of($history, $school)->due)->toBe($due);
})->with([
    [2, Condition::Dry, DripCleanSchool::Solvent, true],
    [1, Condition::Dry, DripCleanSchool::Solvent, false],
    [1, Condition::Muddy, DripCleanSchool::Solvent, true],
    [0, Condition::Muddy, DripCleanSchool::Solvent, false],
    [5, Condition::Muddy, DripCleanSchool::Water, false],
]);
