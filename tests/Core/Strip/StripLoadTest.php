<?php

declare(strict_types=1);

use Dripel\Core\Chain\Joint;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\LinkState;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Oiling;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\JarTurns;
use Dripel\Core\Strip\Load;
use Dripel\Core\Strip\Move;
use Dripel\Core\Strip\MoveKind;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\StepKind;
use Dripel\Core\Strip\StripFacts;
use Dripel\Core\Strip\StripPlan;

/** Three baths of white spirit, one of alcohol, the last of each until clear. */
function threeBaths(bool $dripOnly = false): Protocol
{
    $bath = fn(Solvent $solvent, bool $clear) => new ProtocolStep(
        $dripOnly ? StepKind::Scrub : StepKind::Bath,
        $solvent,
        200.0,
        [new Move(MoveKind::Shake, 60)],
        $clear,
    );
    $spirit = Solvent::WhiteSpirit;

    return new Protocol(
        'school',
        [
            $bath($spirit, false),
            $bath($spirit, false),
            $bath($spirit, true),
            $bath(Solvent::MethylatedSpirit, true),
            new ProtocolStep(StepKind::Dry, seconds: 600),
        ],
        $dripOnly,
    );
}

/** @return list<string> */
function bathsOf(Protocol $protocol): array
{
    return array_map(
        fn(ProtocolStep $step) => $step->kind->value .
            ($step->volumeMl === null ? '' : " {$step->volumeMl} {$step->solvent?->value}") .
            ($step->untilClear ? ' clear' : ''),
        $protocol->steps,
    );
}

/** @return list<string> */
function stripSteps(Protocol $protocol, StripFacts $facts): array
{
    $plan = StripPlan::of($protocol, array_map(fn() => BathSource::fresh(), $protocol->baths()), 1, 8.0, facts: $facts);

    return array_map(
        fn(JobStep $step) => $step->code . ($step->ticks === [] ? '' : ': ' . implode(' ', $step->ticks)),
        array_values(
            array_filter($plan->steps, fn(JobStep $step) => in_array($step->code, ['prepare', 'take_off', 'check', 'brake'], true)),
        ),
    );
}

it('really has the baths that the load needs: more for old oil, hot water and two for wax, none poured over a bike', function (): void {
    $white = 'bath 200 white_spirit';
    [$alcohol, $dry] = ['bath 200 methylated_spirit clear', 'dry'];
    $of = fn(Load $load) => bathsOf(threeBaths()->forLoad($load, $load->grams()));
    // strip.rinse: three of 200 ml leave 8·(15/215)³ g; 16 g come down to that with a fourth.
    expect($of(Load::Greased))
        ->toBe([$white, $white, "{$white} clear", $alcohol, $dry])
        ->and($of(Load::Oiled))
        ->toBe([$white, $white, $white, "{$white} clear", $alcohol, $dry])
        ->and($of(Load::UsedWax))
        ->toBe(['hot_water', 'wipe', $white, "{$white} clear", $alcohol, $dry])
        ->and($of(Load::FreshWax))
        ->toBe($of(Load::UsedWax))
        ->and(bathsOf(threeBaths(true)->forLoad(Load::UsedWax, 2.0)))
        ->toBe(bathsOf(threeBaths(true)));
});

it('takes as much for each chain in the jar, and of a concentrate only its part from the can', function (): void {
    $two = threeBaths()->forChains(2);
    expect($two->volumeMl(Solvent::WhiteSpirit))
        ->toBe(1200.0)
        ->and(StripPlan::of($two, array_map(fn() => BathSource::fresh(), $two->baths()), 2, 8.0)->residuesG[0])
        ->toEqualWithDelta((8.0 * 30) / 430, 1e-9);
    // Common practice: one part to five of water makes 500 ml from 83 and 417.
    $tank = new Protocol('tank', [
        new ProtocolStep(StepKind::Ultrasonic, Solvent::Degreaser, 500.0, [new Move(MoveKind::Rest, 600)], waterParts: 5.0),
        new ProtocolStep(StepKind::Dry, seconds: 600),
    ]);
    $plan = StripPlan::of($tank->forChains(3), [BathSource::fresh()], 3, 8.0);
    expect($plan->freshMl['degreaser'])
        ->toEqualWithDelta(83.3, 0.05)
        ->and($plan->steps[1]->about['fresh_ml'])
        ->toBe(500.0)
        ->and($plan->steps[1]->about['concentrate_ml'])
        ->toEqualWithDelta(83.3, 0.05);
});

it('is laid out for the very bike: its joint, brakes and gears, on it or off', function (
    array $bike,
    bool $dripOnly,
    bool $onBike,
    array $steps,
): void {
    expect(stripSteps(threeBaths($dripOnly), new StripFacts(new Drivetrain(...$bike), $onBike)))->toBe($steps);
})->with([
    'in the jar, off the bike' => [
        [],
        false,
        false,
        ['prepare: gloves open_air no_flame plastic_jar link_along', 'check: jars_away dry no_smell'],
    ],
    'a pin has no link to mind; off the bike and on again' => [
        ['joint' => Joint::Pin],
        false,
        true,
        ['prepare: gloves open_air no_flame plastic_jar', 'take_off', 'check: jars_away dry no_smell'],
    ],
    'on a bike with discs' => [
        [],
        true,
        true,
        [
            'prepare: gloves open_air no_flame brakes_covered derailleur_slack cloths_under',
            'check: jars_away dry no_smell',
            'brake: disc_cleaned cover_off pads_in lever_bites',
        ],
    ],
    'on a single speed with rim brakes' => [
        ['speeds' => 1, 'brakes' => Brakes::Rim],
        true,
        true,
        [
            'prepare: gloves open_air no_flame rims_covered cloths_under',
            'check: jars_away dry no_smell',
            'brake: rims_cleaned cover_off brake_bites',
        ],
    ],
    'with a brake in the hub' => [
        ['speeds' => 3, 'brakes' => Brakes::Hub],
        true,
        true,
        ['prepare: gloves open_air no_flame derailleur_slack cloths_under', 'check: jars_away dry no_smell', 'brake: brake_bites'],
    ],
]);

it('takes turns with its jars: the clean one becomes the dirty one when all of that is handed in', function (): void {
    $jar = fn(int $id, JarRole $role, Solvent $solvent, float $ml) => new JarState(
        $id,
        $role,
        $solvent,
        $ml,
        0.0,
        0,
        0,
        10,
        false,
        null,
        null,
    );
    $shelf = fn(Solvent $clean, float $ml = 300.0) => [
        1 => $jar(1, JarRole::Dirty, Solvent::WhiteSpirit, 400.0),
        2 => $jar(2, JarRole::Clean, $clean, $ml),
    ];
    $white = Solvent::WhiteSpirit;
    expect(JarTurns::after($shelf($white), 1, 400.0))
        ->toBe([2 => JarRole::Dirty, 1 => JarRole::Clean])
        ->and(JarTurns::after($shelf($white), 1, 399.0))
        ->toBe([])
        ->and(JarTurns::after($shelf($white), 2, 300.0))
        ->toBe([])
        ->and(JarTurns::after($shelf(Solvent::Acetone), 1, 400.0))
        ->toBe([])
        ->and(JarTurns::after($shelf($white, 0.0), 1, 400.0))
        ->toBe([])
        ->and(JarTurns::after([], 1, 400.0))
        ->toBe([]);
});

it('knows what is on a quick link: with its chain through each strip, into the pot only bare', function (
    array $events,
    ?Opening $opened,
    LinkState $state,
    ?int $cleanedS = null,
): void {
    expect(LinkState::of(new ChainHistory(1, Rides::of([]), $events), $opened, cleanedS: $cleanedS))->toBe($state);
})->with([
    'new' => [[], null, LinkState::Greased],
    'of a chain that was waxed when its book began' => [[new Dip(1, new Moment(10), 1)], null, LinkState::Bare],
    'of such a chain, tied on' => [[new Dip(1, new Moment(10), 1, linkIn: true)], null, LinkState::Waxed],
    'a new one, never stripped, whatever went into the pot' => [
        [new Dip(4, new Moment(40), 1, linkIn: true)],
        new Opening(3, new Moment(30), 9, 0.0, WaxThen::None),
        LinkState::Greased,
    ],
    'stripped, and left out of the pot' => [[new Strip(1, new Moment(10), 1), new Dip(2, new Moment(20), 1)], null, LinkState::Bare],
    'stripped and tied on' => [[new Strip(1, new Moment(10), 1), new Dip(2, new Moment(20), 1, linkIn: true)], null, LinkState::Waxed],
    'oil got on it' => [[new Strip(1, new Moment(10), 1), new Oiling(2, new Moment(20), 1)], null, LinkState::Greased],
    'a new one opened later' => [
        [new Strip(1, new Moment(10), 1), new Dip(2, new Moment(20), 1, linkIn: true)],
        new Opening(3, new Moment(30), 9, 0.0, WaxThen::None),
        LinkState::Greased,
    ],
    'a new one washed alone' => [
        [new Dip(2, new Moment(20), 1)],
        new Opening(3, new Moment(30), 9, 0.0, WaxThen::None),
        LinkState::Bare,
        31,
    ],
    'washed alone and tied on later' => [
        [new Dip(4, new Moment(40), 1, linkIn: true)],
        new Opening(3, new Moment(30), 9, 0.0, WaxThen::None),
        LinkState::Waxed,
        31,
    ],
    'washed alone, and then oil' => [
        [new Oiling(4, new Moment(40), 1)],
        new Opening(3, new Moment(30), 9, 0.0, WaxThen::None),
        LinkState::Greased,
        31,
    ],
]);
