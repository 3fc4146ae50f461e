<?php

declare(strict_types=1);

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
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\PlanCheck;
use Dripel\Core\Plan\PlannedChain;
use Dripel\Core\Plan\PlannedRide;
use Dripel\Core\Plan\PlanRemedyKind;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * A shed in UTC at noon on Wednesday 25 November 2026: chains 1 (on bike 1, 200 of 300 km ridden) and 2 (waxed, or bare, or none);
 * the week as the bike's page says: 60 km on Saturday, 90 on Sunday.
 *
 * @param list<PlannedRide> $planned
 */
function planOf(array $planned = [], int $chains = 2, bool $bare = false, array $settings = [], array $terms = []): array
{
    $nowS = (int) strtotime('2026-11-25 12:00 UTC');
    $at = fn(string $time): Moment => new Moment((int) strtotime("{$time} UTC"));
    $book = new Book(
        [1],
        range(1, $chains),
        new Settings(
            array_map(fn(array $one) => new DatedSetting($one[0], $one[1], new Moment(0), $one[2]), [
                ...array_map(fn(int $id) => [SettingKey::ChainHome, $id, 1], range(1, $chains)),
                [SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 60, 90]],
                ...$settings,
            ]),
        ),
        [new Fitting(1, $at('2026-10-01 08:00'), 1, 1)],
        [new Ride(1, $at('2026-11-10 09:00'), 1, 200.0, 8.0, Condition::Dry)],
        [
            new Dip(1, $at('2026-11-01 08:00'), 1),
            ...$chains < 2 ? [] : [$bare ? new Strip(2, $at('2026-11-25 08:00'), 2) : new Dip(2, $at('2026-11-01 08:00'), 2)],
        ],
    );
    $terms = new PlanTerms(...$terms + ['days' => 29, 'weekdays' => [4], 'evening' => true, 'marginPct' => 0.0]);

    return [
        $book,
        WorkshopPlan::of($book, Rail::all($book, $nowS, new DateTimeZone('UTC')), $terms, $planned, $nowS, new DateTimeZone('UTC')),
        $nowS,
    ];
}

it('makes a workshop into what plan.pot_days takes: the week of its page, days off, single rides, the margin', function (): void {
    [, $plan] = planOf(
        [
            new PlannedRide(1, '2026-12-05', '2026-12-06', null, 0.0),
            new PlannedRide(2, '2026-12-09', '2026-12-09', 1, 100.0, Condition::Wet, 'the moor'),
        ],
        terms: ['marginPct' => 10.0],
    );
    $bike = $plan->bikes[1];
    // Saturday 28 November is day 3; on the 5th and 6th nobody rides; a wet ride of 100 km takes 250 of wax.
    expect(array_filter($bike->dailyKm))
        ->toEqualWithDelta([3 => 66.0, 4 => 99.0, 14 => 275.0, 17 => 66.0, 18 => 99.0, 24 => 66.0, 25 => 99.0], 1e-9)
        ->and(array_map(fn(PlannedChain $chain) => $chain->usedKm, $bike->chains))
        ->toBe([200.0, 0.0])
        ->and($plan->riding[1]->names[14])
        ->toBe('the moor')
        // Thursday evenings serve Fridays; tonight's Wednesday is no Thursday.
        ->and(array_keys(array_filter($plan->input->allowedDays)))
        ->toBe([2, 9, 16, 23])
        ->and($plan->potOn(9))
        ->toBe('2026-12-03');
});

it('plans it, and agrees with ChainState ride by ride', function (array $settings, bool $bare): void {
    [$book, $plan, $nowS] = planOf(bare: $bare, settings: $settings);
    $held = $plan->held();
    $lanes = $plan->lanes(array_map(fn($pot) => $pot->day, $held->potDays), true);
    expect($held->feasible)
        ->toBeTrue()
        ->and(count($lanes[1]))
        ->toBe(29)
        ->and(PlanCheck::of($book, $plan, $lanes, $nowS))
        ->toBe([])
        // What is left in a lane burns down by the rides.
        ->and(array_sum(array_map(fn(LaneDay $day) => $day->beforeKm - $day->afterKm, $lanes[1])))
        ->toEqualWithDelta(array_sum($plan->bikes[1]->dailyKm), 1e-6);
})->with([
    'waxed' => [[], false],
    'bare, so it is dipped first' => [[], true],
    'ready the next day' => [[[SettingKey::ReadySchool, 0, 'next_day']], false],
]);

it('plans a bike that goes by hours by its hours, and shows what is left of them', function (): void {
    // 200 km in 8 h: 25 km/h. Of 10 h the chain that is on has 2 left, less than the 2.4 h of Saturday; 60 and 90 km are 6 h a weekend.
    [$book, $plan, $nowS] = planOf(settings: [[SettingKey::IntervalHours, 1, 10.0]]);
    $bike = $plan->bikes[1];
    expect($bike->intervalHours)
        ->toBe(10.0)
        ->and(array_map(fn(PlannedChain $chain) => [$chain->usedKm, $chain->usedHours], $bike->chains))
        ->toBe([[200.0, 8.0], [0.0, 0.0]])
        ->and(array_filter($bike->dailyHours))
        ->toEqualWithDelta([3 => 2.4, 4 => 3.6, 10 => 2.4, 11 => 3.6, 17 => 2.4, 18 => 3.6, 24 => 2.4, 25 => 3.6], 1e-9);
    // By km alone chain 2 would carry two weekends; by hours it is short on the second Sunday.
    $lanes = $plan->lanes([], false)[1];
    expect([$lanes[3]->chainId, $lanes[3]->offId, $lanes[3]->afterKm])
        ->toBe([2, 1, 240.0])
        ->and([$lanes[3]->beforeHours, $bike->coat($lanes[3]->beforeKm, $lanes[3]->beforeHours)])
        ->toBe([10.0, 1.0])
        ->and($lanes[3]->afterHours)
        ->toEqualWithDelta(7.6, 1e-9)
        ->and($bike->coat($lanes[3]->afterKm, $lanes[3]->afterHours))
        ->toEqualWithDelta(0.76, 1e-9)
        ->and(array_keys(array_filter(array_map(fn(LaneDay $day) => $day->broken, $lanes))))
        ->toContain(11);
    $held = $plan->held();
    expect($held->feasible)->toBeTrue()->and(PlanCheck::of($book, $plan, $plan->lanes($plan->heldDays(), true), $nowS))->toBe([]);
    // A drip gives km back and no hours: without the pot it does not help.
    expect($plan->along([], true)->feasible)->toBeFalse();
    // What was never timed takes no hours, and one that is due is due in both.
    expect(planOf(settings: [[SettingKey::IntervalHours, 1, 8.0]])[1]->bikes[1]->chains[0])->toMatchObject([
        'usedKm' => 300.0,
        'usedHours' => 8.0,
    ]);
});

it('says where its simple count and ChainState differ', function (): void {
    // A top-up of tonight is not dry before tomorrow; a ride tomorrow at nine needs it dry by then, and a night of twenty hours is longer.
    [$book, $plan, $nowS] = planOf(
        [new PlannedRide(1, '2026-11-26', '2026-11-26', 1, 150.0)],
        chains: 1,
        settings: [[SettingKey::DripDryHours, 0, 20.0]],
    );
    $held = $plan->held();
    $doubts = PlanCheck::of($book, $plan, $plan->lanes(array_map(fn($pot) => $pot->day, $held->potDays), true), $nowS);
    expect($held->topUps[0]->day)->toBe(1)->and($doubts[0]->day)->toBe(1)->and($doubts[0]->notReady)->toBeTrue();
});

it('shows what breaks when a pot day is moved, and what mends it, the cheapest first', function (): void {
    [, $plan] = planOf();
    $pots = array_map(fn($pot) => $pot->day, $plan->best()->potDays);
    // Dipped at once, 1 alone is dipped, and two full chains carry four weekends of 150 km. Three weeks later: 1 has 100 left and takes
    // 60; 2 takes 90, then 60, 90 and 60, and on the third Sunday neither has 90.
    expect($pots)
        ->toBe([2])
        ->and($plan->along([23], false)->blocked->day)
        ->toBe(18);
    $lanes = $plan->lanes([23], false);
    expect(array_values(array_filter(array_map(fn(LaneDay $day) => $day->broken ? $day->day : null, $lanes[1]))))->toContain(18);
    $repairs = $plan->repairs([23]);
    // At once for 59 minutes, a week later for more, or two top-ups at 60.
    expect(array_map(fn($one) => [$one->potDay, $one->bottle], $repairs))
        ->toBe([[2, false], [9, false], [null, true]])
        ->and(array_column(array_column($repairs, 'plan'), 'feasible'))
        ->toBe([true, true, true]);
});

it('pins and forbids days, and holds to a plan by hand', function (): void {
    expect(array_map(fn($pot) => $pot->day, planOf(terms: ['pinned' => ['2026-12-02']])[1]->best()->potDays))
        ->toContain(8)
        ->and(array_map(fn($pot) => $pot->day, planOf(terms: ['forbidden' => ['2026-12-10']])[1]->best()->potDays))
        ->not->toContain(16)
        ->and(array_map(fn($pot) => $pot->day, planOf(terms: ['byHand' => ['2026-11-19', '2026-12-03']])[1]->held()->potDays))
        ->toBe([9]);
});

it('gives ways out where nothing will do', function (): void {
    [, $plan] = planOf(chains: 1, settings: [[SettingKey::TopUpsMost, 0, 0]], terms: ['weekdays' => []]);
    $remedies = $plan->remedies();
    expect($plan->best()->blocked->day)
        ->toBe(4)
        ->and(array_map(fn($one) => $one->kind, $remedies))
        ->toEqualCanonicalizing(PlanRemedyKind::cases())
        ->and($remedies[0]->kind)
        ->toBe(PlanRemedyKind::AnyDay)
        ->and($remedies[0]->plan->feasible)
        ->toBeTrue();
});

it('has sensible answers for a rider with one chain, with none, without rides, on a day of 400 km', function (): void {
    expect(planOf(chains: 1)[1]->best()->feasible)->toBeTrue();
    [, $none] = planOf(settings: [[SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 0, 0]]]);
    expect($none->best())->feasible->toBeTrue()->potDays->toBe([]);
    // 400 km want a fresh chain that Saturday: 2 hangs waxed.
    [, $long] = planOf([new PlannedRide(1, '2026-11-28', '2026-11-28', 1, 400.0)]);
    expect($long->best()->feasible)
        ->toBeTrue()
        ->and($long->best()->swaps[0]->day)
        ->toBe(3);
});

it('rides an event on the chain that is kept for it, and spares the others that day', function (): void {
    [, $plan] = planOf(chains: 3, settings: [[SettingKey::ChainEvent, 3, 'crossing'], [SettingKey::ChainEventOn, 3, '2026-12-05']]);
    // Saturday, in ten days: no wax of A or B; on Sunday they ride again. The kept chain is not planned with.
    expect($plan->riding[1]->kept[10]->chainId)
        ->toBe(3)
        ->and(array_keys($plan->riding[1]->kept))
        ->toBe([10])
        ->and([$plan->bikes[1]->dailyKm[3], $plan->bikes[1]->dailyKm[10], $plan->bikes[1]->dailyKm[11]])
        ->toBe([60.0, 0.0, 90.0])
        ->and($plan->chainIds())
        ->toBe([1, 2]);
});
