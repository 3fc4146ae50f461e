<?php

declare(strict_types=1);

use Dripel\Core\Care\CarePlan;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Fit\FitFacts;
use Dripel\Core\Fit\FitPlan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\Drivetrain;

/**
 * @param list<JobStep> $steps
 *
 * @return list<string> "code: ticks", with an exclamation mark where it cannot be passed over
 */
function atTheBike(array $steps): array
{
    return array_map(
        fn(JobStep $step) => $step->code . ($step->skippable ? '' : '!') . ($step->ticks === [] ? '' : ': ' . implode(' ', $step->ticks)),
        $steps,
    );
}

it('leads a chain off, cut and on by joint and gears, with the test under load never passed over', function (
    FitFacts $facts,
    array $steps,
    string $done,
): void {
    $plan = FitPlan::of($facts);
    expect(atTheBike($plan->steps))->toBe($steps)->and($plan->steps[$plan->doneStep]->code)->toBe($done);
})->with([
    'link for link on a geared bike' => [
        new FitFacts(new Drivetrain(directional: true), Joint::QuickLink, freshlyDipped: true),
        [
            'small_sprocket',
            'open_link!',
            'hang_off_link!',
            'flex_link',
            'route_cages!',
            'direction!',
            'close_link!',
            'load_test!: link_home no_stiff',
            'gears!: shifts',
            'first_km',
        ],
        'gears',
    ],
    'a new chain with a pin on a single speed' => [
        new FitFacts(new Drivetrain(1, Brakes::Rim, Joint::Pin), Joint::Pin, cutTo: 98, lookAtTeeth: true),
        [
            'slack_wheel',
            'push_pin!',
            'hang_off!',
            'count!',
            'cut_pin!',
            'look_teeth',
            'route_single!',
            'close_pin!',
            'load_test!: pin_flush no_stiff',
            'tension!: wheel_tight brake_bites',
            'first_km',
        ],
        'tension',
    ],
    'the first waxed chain of a bare frame' => [
        new FitFacts(new Drivetrain(), cleanFirst: true, freshlyDipped: true),
        [
            'clean_first: drivetrain_clean',
            'flex_link',
            'route_cages!',
            'close_link!',
            'load_test!: link_home no_stiff',
            'gears!: shifts',
            'first_km',
        ],
        'gears',
    ],
    'off, and nothing on' => [
        new FitFacts(new Drivetrain(), Joint::QuickLink, on: false),
        ['small_sprocket', 'open_link!', 'hang_off_link!'],
        'hang_off_link',
    ],
]);

it('cuts as many pitches as stay beside the quick link (chain.match)', function (Joint $joint, int $cutTo): void {
    $plan = FitPlan::of(new FitFacts(new Drivetrain(joint: $joint), cutTo: 116));
    expect($plan->steps[0]->about)->toBe(['pitches' => 116, 'cut_to' => $cutTo]);
})->with([[Joint::QuickLink, 115], [Joint::Pin, 116]]);

it('cleans what a bike has and tries its brake, with degreaser wiped off again', function (array $plan, array $steps, string $done): void {
    $care = CarePlan::of(...$plan);
    expect(atTheBike($care->steps))->toBe($steps)->and($care->steps[$care->doneStep]->code)->toBe($done);
})->with([
    'with discs, down to metal, painted' => [
        [new Drivetrain(), true, true],
        [
            'cover_brake!: disc_covered cloths_under',
            'pick_wax',
            'degrease: gloves anodised_apart',
            'wipe_degreaser!: wiped_off',
            'sprockets',
            'rings',
            'jockey_wheels',
            'cage',
            'teeth',
            'paint: no_drip',
            'uncover!: disc_cleaned cover_off brake_bites',
        ],
        'teeth',
    ],
    'a single speed with rim brakes' => [
        [new Drivetrain(1, Brakes::Rim)],
        [
            'cover_brake!: rim_covered cloths_under',
            'pick_wax',
            'sprocket_single',
            'ring_single',
            'teeth',
            'uncover!: cover_off brake_bites',
        ],
        'teeth',
    ],
    'a brake in the hub is not covered' => [
        [new Drivetrain(8, Brakes::Hub)],
        [
            'cover_brake!: cloths_under',
            'pick_wax',
            'sprockets',
            'rings',
            'jockey_wheels',
            'cage',
            'teeth',
            'uncover!: cover_off brake_bites',
        ],
        'teeth',
    ],
]);
