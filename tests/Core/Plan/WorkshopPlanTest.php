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
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;
use Dripel\Core\Plan\BookedPot;
use Dripel\Core\Plan\DeadlineKind;
use Dripel\Core\Plan\DipReason;
use Dripel\Core\Plan\DipWhy;
use Dripel\Core\Plan\GoodUntil;
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PassedPot;
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
/** @return array{Book, WorkshopPlan, int} */
function planOf(
    array $planned = [],
    int $chains = 2,
    bool $bare = false,
    array $settings = [],
    array $terms = [],
    array $booked = [],
    string $now = '2026-11-25 12:00',
    Memo $memo = new NoMemo(),
): array {
    $nowS = (int) strtotime("{$now} UTC");
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
        WorkshopPlan::of(
            $book,
            Rail::all($book, $nowS, new DateTimeZone('UTC')),
            $terms,
            $planned,
            $nowS,
            new DateTimeZone('UTC'),
            $booked,
            $memo,
        ),
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
    // As many top-ups as the workshop allows.
    $topUps = fn(int $most): ?int => planOf(settings: [[SettingKey::TopUpsMost, 0, $most]])[1]->input->topUp?->maxPerCycle;
    expect([$topUps(0), $topUps(1), $topUps(3)])->toBe([null, 1, 3]);
    // Saturday 28 November is day 3; on the 5th and 6th nobody rides; a wet ride of 100 km takes 250 of wax.
    expect(array_filter($bike->dailyKm))
        ->toEqualWithDelta([3 => 66.0, 4 => 99.0, 14 => 275.0, 17 => 66.0, 18 => 99.0, 24 => 66.0, 25 => 99.0], 1e-9)
        ->and(array_map(fn(PlannedChain $chain) => [$chain->usedKm, $chain->usedHours], $bike->chains))
        ->toBe([[200.0, 0.0], [0.0, 0.0]])
        ->and($plan->riding[1]->names[14])
        ->toBe('the moor')
        // Thursday evenings serve Fridays; tonight's Wednesday is no Thursday.
        ->and(array_keys(array_filter($plan->input->allowedDays)))
        ->toBe([2, 9, 16, 23])
        ->and($plan->days->potOn(9))
        ->toBe('2026-12-03');
});

it('plans it, and agrees with ChainState ride by ride', function (array $settings, bool $bare): void {
    [$book, $plan, $nowS] = planOf(bare: $bare, settings: $settings);
    $lanes = $plan->walk()->lanes;
    expect($plan->leftOut())
        ->toBe([])
        ->and(count($lanes[1]))
        ->toBe(29)
        ->and(PlanCheck::of($book, $plan, $nowS))
        ->toBe([])
        // What is left in a lane burns down by the rides.
        ->and(array_sum(array_map(fn(LaneDay $day) => $day->beforeKm - $day->afterKm, $lanes[1])))
        ->toEqualWithDelta(array_sum($plan->bikes[1]->dailyKm), 1e-6);
    // Bare steel has nothing left when it goes into its first pot.
    $first = array_column(array_merge(...$plan->walk()->reasons), null, 'chainId')[2] ?? null;
    $bare && expect($first?->leftKm)->toBe(0.0);
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
    $lanes = $plan->walk()->lanes[1];
    expect([$lanes[3]->chainId, $lanes[3]->offId, $lanes[3]->afterKm])
        ->toBe([2, 1, 240.0])
        ->and([$lanes[3]->beforeHours, $bike->coat($lanes[3]->beforeKm, $lanes[3]->beforeHours)])
        ->toBe([10.0, 1.0])
        ->and($lanes[3]->afterHours)
        ->toEqualWithDelta(7.6, 1e-9)
        // Sunday begins with what Saturday left, not with a whole coat.
        ->and($lanes[4]->beforeHours)
        ->toEqualWithDelta(7.6, 1e-9)
        ->and($bike->coat($lanes[3]->afterKm, $lanes[3]->afterHours))
        ->toEqualWithDelta(0.76, 1e-9);
    expect($plan->whole())->toBeTrue()->and(PlanCheck::of($book, $plan, $nowS))->toBe([])->and($plan->result()->topUps)->toBe([]);
    // A drip gives km back and no hours: where the pot is never hot, the second Sunday goes without wax, and so it goes on.
    $cold = planOf(settings: [[SettingKey::IntervalHours, 1, 10.0]], terms: ['weekdays' => []])[1];
    expect(array_keys($cold->leftOut()[1])[0])->toBe(11);
    // What was never timed takes no hours, and one that is due is due in both.
    expect(planOf(settings: [[SettingKey::IntervalHours, 1, 8.0]])[1]->bikes[1]->chains[0])->toMatchObject([
        'usedKm' => 300.0,
        'usedHours' => 8.0,
    ]);
});

it('puts into the pot what hangs there used or bare, if it fits the bike', function (): void {
    $waiting = function (array $shed): array {
        [$book, , $nowS] = planOf(...$shed);

        return array_map(fn($chain) => $chain->chainId, Rail::all($book, $nowS, new DateTimeZone('UTC'))[0]->forThePot());
    };
    $eleven = [[SettingKey::BikeSpeeds, 1, 12], [SettingKey::ChainSpeeds, 2, 11]];
    expect($waiting(['bare' => true]))
        ->toBe([2])
        ->and($waiting([]))
        ->toBe([])
        ->and($waiting(['bare' => true, 'settings' => $eleven]))
        ->toBe([]);
});

it('says that a planned pot day passed unused, unless something was dipped since', function (
    array $terms,
    ?array $passed,
    array $events = [],
): void {
    $today = LocalDay::named('2026-11-27', new DateTimeZone('UTC'));
    [$book, $then] = planOf(terms: $terms, now: '2026-11-26 19:00');
    expect(PassedPot::asOfS($today, $then->terms))->toBe((int) strtotime('2026-11-26 19:00 UTC'));
    $pot = PassedPot::of($book->with([], [], $events), $then);
    expect($pot === null ? null : [$pot->date, $pot->chainIds])->toBe($passed);
})->with([
    'it was not held' => [['pinned' => ['2026-11-26']], ['2026-11-26', [1]]],
    'none was planned for that evening' => [[], null],
    'it was held, if only with another chain' => [
        ['pinned' => ['2026-11-26']],
        null,
        [new Dip(50, new Moment((int) strtotime('2026-11-26 22:00 UTC')), 2)],
    ],
]);

it('plans a bike by hours alone, whatever its km', function (): void {
    // The same hours as above; without km the 240 km of wax no longer stand beside them.
    [$book, $plan, $nowS] = planOf(settings: [[SettingKey::IntervalHours, 1, 10.0], [SettingKey::IntervalKm, 1, null]]);
    $bike = $plan->bikes[1];
    expect([$bike->intervalKm, $bike->intervalHours])
        ->toBe([null, 10.0])
        ->and(array_map(fn(PlannedChain $chain) => [$chain->usedKm, $chain->usedHours], $bike->chains))
        ->toBe([[0.0, 8.0], [0.0, 0.0]]);
    $lanes = $plan->walk()->lanes[1];
    expect([$lanes[3]->beforeKm, $lanes[3]->afterKm, $lanes[3]->overKm])
        ->toBe([null, null, 0.0])
        ->and($bike->coat($lanes[3]->afterKm, $lanes[3]->afterHours))
        ->toEqualWithDelta(0.76, 1e-9);
    expect($plan->whole())->toBeTrue()->and(PlanCheck::of($book, $plan, $nowS))->toBe([]);
    foreach (array_merge(...array_values($plan->walk()->reasons)) as $reason) {
        expect($reason->leftKm)->toBeNull()->and($reason->leftHours)->not->toBeNull();
    }
    // What its hours come to at 25 km/h stands for an interval where one in km is asked for; a drip gives none of it back.
    $state = $book->chain(1, $nowS);
    expect([$state->terms->limitKm(), $state->terms->intervalKm])
        ->toEqual([null, 250.0])
        ->and([$state->leftKm(), $state->leftAfterTopUp()])
        ->toEqualWithDelta([50.0, 50.0], 1e-9);
});

it('looks at its rides as they are expected, not with the margin that it plans with', function (): void {
    // With a fifth on top both rides take 298.8 of the 300 km that chain 2 has; chain 1 has 100.
    $ride = fn(int $id, string $date, float $km): PlannedRide => new PlannedRide($id, $date, $date, 1, $km);
    [$book, $plan, $nowS] = planOf(
        [$ride(1, '2026-11-27', 99.0), $ride(2, '2026-11-28', 150.0)],
        terms: ['days' => 4, 'marginPct' => 20.0, 'weekdays' => []],
        settings: [[SettingKey::TopUpsMost, 0, 0]],
    );
    expect($plan->leftOut())
        ->toBe([])
        ->and($plan->bikes[1]->dailyKm)
        ->toEqualWithDelta([0.0, 0.0, 118.8, 180.0], 1e-9)
        ->and(PlanCheck::of($book, $plan, $nowS))
        ->toBe([]);
});

it('says where its simple count and ChainState differ', function (): void {
    // A top-up of tonight is not dry before tomorrow; a ride tomorrow at nine needs it dry by then, and a night of twenty hours is longer.
    [$book, $plan, $nowS] = planOf(
        [new PlannedRide(1, '2026-11-26', '2026-11-26', 1, 150.0)],
        chains: 1,
        settings: [[SettingKey::DripDryHours, 0, 20.0]],
    );
    $doubts = PlanCheck::of($book, $plan, $nowS);
    expect($plan->result()->topUps[0]->day)
        ->toBe(1)
        ->and($doubts[0]->day)
        ->toBe(1)
        ->and($doubts[0]->notReady)
        ->toBeTrue();
    // Dipped in the morning of the ride, where nobody rides before the next day: it has wax enough, and is not ready.
    [$book, $plan, $nowS] = planOf(
        chains: 1,
        settings: [[SettingKey::ReadySchool, 0, 'next_day'], [SettingKey::TopUpsMost, 0, 0]],
        terms: ['weekdays' => [6], 'evening' => false],
    );
    $doubts = PlanCheck::of($book, $plan, $nowS);
    expect($plan->result()->potDays[0]->day)
        ->toBe(3)
        ->and([$doubts[0]->day, $doubts[0]->notReady, $doubts[0]->leftKm >= $doubts[0]->needsKm])
        ->toBe([3, true, true]);
});

it('goes on past a ride that no chain can take, and names it; ways out say what they cost', function (): void {
    [$book, $plan, $nowS] = planOf(chains: 1, settings: [[SettingKey::TopUpsMost, 0, 0]], terms: ['weekdays' => []]);
    // 100 km are left: Saturday's 60, and then nothing, on this and on every weekend to come.
    expect($plan->leftOut())
        ->toBe([1 => array_fill_keys([4, 10, 11, 17, 18, 24, 25], true)])
        ->and($plan->result()->feasible)
        ->toBeTrue()
        ->and($plan->whole())
        ->toBeFalse();
    $lane = $plan->walk()->lanes[1];
    expect([$lane[3]->afterKm, $lane[3]->broken, $lane[4]->broken, $lane[4]->beforeKm, $lane[4]->rideKm])
        ->toBe([40.0, false, true, 40.0, 90.0])
        ->and(PlanCheck::of($book, $plan, $nowS))
        ->toBe([]);
    $remedies = $plan->remedies();
    // A pot that is hot on some other day carries all of it: 59 minutes, and its coat is what is left over at the end.
    expect(array_map(fn($one) => $one->kind, $remedies))
        ->toBe([PlanRemedyKind::AnyDay, PlanRemedyKind::Chain, PlanRemedyKind::Bottle])
        ->and(array_map(fn($one) => [$one->problems, $one->problemsNow, $one->helps()], $remedies))
        ->toBe([[0, 7, true], [3, 7, true], [4, 7, true]])
        ->and(count($remedies[0]->dates))
        ->toBe(2)
        ->and($plan->by($plan->terms->choosing($remedies[0]->dates, [], []))->whole())
        ->toBeTrue();
});

it('pins and forbids days, leaves a chain out of a pot, and says what a change costs', function (): void {
    $pots = fn(WorkshopPlan $plan): array => array_map(
        fn($pot) => $plan->days->potOn($pot->day) . ' ' . implode('+', $pot->dips),
        $plan->result()->potDays,
    );
    [, $plan] = planOf();
    // 1 has 100 km left, 2 is full: they carry two weekends of 150 km and 100 of a third. The later first pot day is as good.
    expect($pots($plan))->toBe(['2026-12-10 1+2']);
    $moved = $plan->by($plan->terms->choosing(['2026-12-03'], ['2026-12-10'], []));
    expect($pots($moved)[0])
        ->toStartWith('2026-12-03')
        ->and($pots($moved))
        ->not->toContain('2026-12-10 1+2')
        ->and($moved->minutesMore($plan))
        ->toBeGreaterThanOrEqual(0.0)
        // A Wednesday, because it is pinned.
        ->and(preg_grep('/^2026-12-02 /', $pots($plan->by($plan->terms->choosing(['2026-12-02'], [], [])))))
        ->toHaveCount(1);
    $without = $plan->by($plan->terms->choosing([], [], [1 => ['2026-12-10']]));
    expect($pots($without))->toBe(['2026-12-10 2']);
    expect($without->whole())->toBeTrue()->and($without->minutesMore($plan))->toBeGreaterThanOrEqual(0.0);
});

it('keeps an evening to the minutes that there are, with the chains without which the weeks would be met worst', function (): void {
    // 250 km on Friday and on Saturday: of 1 there are 100 km left, of 2 300, and 3 wants the pot for its event in four weeks.
    [, $plan] = planOf(
        [new PlannedRide(1, '2026-11-27', '2026-11-28', 1, 250.0)],
        chains: 3,
        settings: [
            [SettingKey::TopUpsMost, 0, 0],
            [SettingKey::ChainEvent, 3, 'crossing'],
            [SettingKey::ChainEventOn, 3, '2026-12-20'],
            [SettingKey::ChainDippedAfter, 3, '2026-11-20'],
        ],
        terms: ['weekdays' => [4, 6], 'potCapacity' => 1],
    );
    $first = $plan->result()->potDays[0];
    $potOn = $plan->days->potOn($first->day);
    expect(count($first->dips))->toBeGreaterThan(1);
    // One chain takes 59 minutes.
    $within = $plan->by($plan->within($potOn, 60.0));
    $kept = $within->result()->potDays[0];
    expect([$within->days->potOn($kept->day), count($kept->dips)])->toBe([$potOn, 1]);
    // None of the others alone would have been better.
    foreach ($first->dips as $alone) {
        $notOn = array_fill_keys(array_diff($first->dips, [$alone]), [$potOn]);
        $other = $plan->by($plan->terms->choosing([$potOn], [], $notOn));
        $problems = fn(WorkshopPlan $of): int => count($of->missed()) + array_sum(array_map(count(...), $of->leftOut()));
        expect(
            [$problems($within), round($within->result()->totalMinutes, 6)] <=> [
                $problems($other),
                round($other->result()->totalMinutes, 6),
            ],
        )->toBeLessThanOrEqual(0);
    }
    // With ten minutes the pot stays cold that day.
    expect($plan->within($potOn, 10.0)->forbidden)->toBe([$potOn]);
});

it('waxes what is bare before it rusts, and names what no pot of the plan is in time for', function (): void {
    // Stripped at eight, rust from eight in the evening on: on Wednesdays the pot is hot at seven.
    [, $plan] = planOf(bare: true, terms: ['weekdays' => [3, 6]]);
    expect([$plan->deadlines[0]->kind, $plan->deadlines[0]->from, $plan->deadlines[0]->until, $plan->missed()])
        ->toBe([DeadlineKind::Rust, 0, 1, []])
        ->and($plan->result()->potDays[0]->day)
        ->toBe(1)
        ->and($plan->result()->potDays[0]->dips)
        ->toContain(2)
        ->and($plan->walk()->reasons[1][array_search(2, $plan->result()->potDays[0]->dips, true)]->why)
        ->toBe(DipWhy::Rust);
    // On Thursdays it is not: named, and the plan goes on. The way out is tonight, for 59 minutes less what it saves later.
    [, $late] = planOf(bare: true);
    expect(count($late->missed()))
        ->toBe(1)
        ->and($late->result()->feasible)
        ->toBeTrue()
        ->and($late->remedies()[0]->dates)
        ->toBe(['2026-11-25'])
        ->and($late->remedies()[0]->helps())
        ->toBeTrue()
        ->and($late->by($late->terms->choosing(['2026-11-25'], [], []))->whole())
        ->toBeTrue()
        // At ten in the evening nobody begins.
        ->and(planOf(bare: true, terms: ['weekdays' => [3]], now: '2026-11-25 22:00')[1]->missed())
        ->not->toBe([]);
});

it('forgets a way out as soon as it is too late for it, though the plan is the one that is known', function (): void {
    $memo = new class implements Memo {
        /** @var array<string, mixed> */
        private array $known = [];

        public function of(string $key, Closure $make): mixed
        {
            return $this->known[$key] ??= $make();
        }
    };
    // Bare since eight: until eight in the evening the pot of this Wednesday would do.
    expect(planOf(bare: true, memo: $memo)[1]->otherDay()?->dates)
        ->toBe(['2026-11-25'])
        ->and(planOf(bare: true, now: '2026-11-25 20:30', memo: $memo)[1]->otherDay()?->helps())
        ->not->toBeTrue();
});

it('plans with a chain that no wax has been on only where it came waxed from the factory', function (array $settings, int $chains): void {
    [, $plan] = planOf(chains: 3, settings: $settings);
    expect($plan->bikes[1]->chains)->toHaveCount($chains);
})->with(['greased' => [[], 2], 'from the factory' => [[[SettingKey::ChainLoad, 3, 'factory_waxed']], 3]]);

it('keeps to a pot day that was accepted, and to a pot that is hot', function (): void {
    $at = (int) strtotime('2026-11-28 19:00 UTC');
    [, $plan] = planOf(booked: [new BookedPot($at, [1, 2], false)]);
    // Chain 2 is fresh, and goes in all the same: somebody said so.
    expect($plan->result()->potDays[0]->dips)
        ->toBe([1, 2])
        ->and($plan->days->potOn($plan->result()->potDays[0]->day))
        ->toBe('2026-11-28')
        ->and(array_map(fn(DipReason $one) => $one->why, $plan->walk()->reasons[4]))
        ->toBe([DipWhy::Booked, DipWhy::Booked]);
    $hot = planOf(booked: [new BookedPot($at, [1], true)])[1];
    expect($hot->bikes[1]->chains[0]->usedKm)->toBe(0.0);
});

it('says why each chain goes into the pot: it is ridden beyond what it has, or it goes along', function (): void {
    [, $plan] = planOf();
    $reasons = $plan->walk()->reasons[16];
    expect(array_map(fn(DipReason $one) => [$one->chainId, $one->why, $one->riddenOn], $reasons))->toBe([
        // 1 is not ridden again in these weeks: 4 minutes now, where later it would take its share of a batch too.
        [1, DipWhy::Along, null],
        [2, DipWhy::Short, 17],
    ]);
    // To the last kilometre is not beyond: 100 km are left, and a Saturday of 100 is to come.
    [, $last] = planOf(settings: [[SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 100, 0]]], terms: ['pinned' => ['2026-11-26'], 'days' => 9]);
    expect(array_map(fn(DipReason $one) => [$one->chainId, $one->why, $one->leftKm, $one->riddenOn], $last->walk()->reasons[2]))->toBe([
        [1, DipWhy::Along, 100.0, 3],
    ]);
    // With wax for 5,000 km it goes by its hours alone.
    $whys = fn(float $hours): array => array_merge(
        ...array_map(
            fn(array $reasons) => array_map(fn(DipReason $one) => $one->why, $reasons),
            planOf(settings: [[SettingKey::IntervalKm, 1, 5000.0], [SettingKey::IntervalHours, 1, $hours]])[1]->walk()->reasons,
        ),
    );
    expect($whys(10.0))->toContain(DipWhy::Short)->and($whys(500.0))->not->toContain(DipWhy::Short);
});

it('has sensible answers for a rider with one chain, with none, without rides, on a day of 400 km', function (): void {
    expect(planOf(chains: 1)[1]->result()->feasible)->toBeTrue();
    [, $none] = planOf(settings: [[SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 0, 0]]]);
    expect($none->result())->feasible->toBeTrue()->potDays->toBe([]);
    // 400 km want a fresh chain that Saturday: 2 hangs waxed.
    [, $long] = planOf([new PlannedRide(1, '2026-11-28', '2026-11-28', 1, 400.0)]);
    expect($long->result()->feasible)
        ->toBeTrue()
        ->and($long->result()->swaps[0]->day)
        ->toBe(3)
        // A coat is 300: the last hundred go without.
        ->and($long->walk()->lanes[1][3]->overKm)
        ->toBe(100.0);
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

it('keeps a chain for its event until it was dipped after the day that was said', function (): void {
    $kinds = fn(string $after): array => array_column(
        planOf(
            settings: [
                [SettingKey::ChainEvent, 2, 'crossing'],
                [SettingKey::ChainEventOn, 2, '2026-12-05'],
                [SettingKey::ChainDippedAfter, 2, $after],
            ],
        )[1]->deadlines,
        'kind',
    );
    // It was dipped on 1 November.
    expect([$kinds('2026-11-01'), $kinds('2026-10-31')])->toBe([[DeadlineKind::Event], []]);
});

it('takes the bike of today for the one of which most is expected, else for the one ridden last', function (): void {
    $at = fn(string $time): Moment => new Moment((int) strtotime("{$time} UTC"));
    $nowS = (int) strtotime('2026-11-25 12:00 UTC');
    $plan = function (array $weeks) use ($at, $nowS): WorkshopPlan {
        $zone = new DateTimeZone('UTC');
        $setting = fn(SettingKey $key, int $of, mixed $value) => new DatedSetting($key, $of, new Moment(0), $value);
        $book = new Book(
            [1, 2],
            [1, 2],
            new Settings([
                $setting(SettingKey::ChainHome, 1, 1),
                $setting(SettingKey::ChainHome, 2, 2),
                ...array_map(fn(int $bike) => $setting(SettingKey::WeekWinter, $bike, $weeks[$bike]), array_keys($weeks)),
            ]),
            [new Fitting(1, $at('2026-11-01 08:00'), 1, 1), new Fitting(2, $at('2026-11-01 08:00'), 2, 2)],
            [
                new Ride(1, $at('2026-11-20 09:00'), 2, 30.0, null, Condition::Dry),
                new Ride(2, $at('2026-11-24 09:00'), 1, 30.0, null, Condition::Dry),
            ],
            [new Dip(1, $at('2026-10-31 08:00'), 1), new Dip(2, $at('2026-10-31 08:00'), 2)],
        );

        return WorkshopPlan::of($book, Rail::all($book, $nowS, $zone), new PlanTerms(7, [4], true), [], $nowS, $zone, []);
    };
    $none = [0, 0, 0, 0, 0, 0, 0];
    expect([
        $plan([1 => $none, 2 => $none])->todaysBike(),
        $plan([1 => [0, 0, 10, 0, 0, 0, 0], 2 => [0, 0, 25, 0, 0, 0, 0]])->todaysBike(),
    ])->toBe([1, 2]);
});

it('says until when the wax of a chain is good, what it falls short of that day, and what took the rest', function (): void {
    $good = function (int $chain, array $settings = [], string $now = '2026-11-25 12:00'): ?GoodUntil {
        [$book, $plan, $nowS] = planOf(settings: $settings, now: $now);

        return GoodUntil::of($book->chain($chain, $nowS), $plan->riding[1], LocalDay::of($nowS, new DateTimeZone('UTC')));
    };
    $of = fn(?GoodUntil $one): ?array => $one === null
        ? null
        : [$one->date, $one->shortKm, $one->shortHours, $one->rideKm, $one->daysAhead, $one->byHours, $one->taken];
    // 100 km are left: Saturday takes 60, Sunday's 90 are 50 too many.
    expect($of($good(1)))->toBe(['2026-11-29', 50.0, null, 90.0, 4, false, [['2026-11-28', 60.0]]]);
    // A fresh coat of 300 carries two such weeks to the last km; of 299 it is 1 short of the fourth ride.
    expect($good(2)?->date)
        ->toBe('2026-12-12')
        ->and($good(2)?->shortKm)
        ->toBe(60.0)
        ->and($good(2, [[SettingKey::IntervalKm, 1, 299.0]])?->shortKm)
        ->toEqualWithDelta(1.0, 1e-9);
    // 200 km in 8 h: Saturday takes 2.4 h, Sunday 3.6. Of 5 hours a fresh coat is 1 short; used for 8 it is due, and carries nothing.
    $hours = $good(2, [[SettingKey::IntervalHours, 1, 5.0]]);
    expect([$hours?->date, $hours?->shortKm, $hours?->byHours, $hours?->rideHours])
        ->toBe(['2026-11-29', null, true, 3.6])
        ->and($hours?->shortHours)
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($of($good(1, [[SettingKey::IntervalHours, 1, 5.0]])))
        ->toBe(['2026-11-28', 60.0, null, 60.0, 3, false, []]);
    // Where nothing is usual a day is its share of the week's 93 km, and no single ride falls short. 57 days at most are looked at.
    $shared = $good(1, [[SettingKey::WeekWinter, 1, null]]);
    expect([$shared?->shortKm, $shared?->shortHours, $shared?->daysAhead])
        ->toBe([null, null, 7])
        ->and($good(2, [[SettingKey::IntervalKm, 1, 5000.0]]))
        ->toBeNull();
});

it('knows on which days a ride is usual', function (): void {
    [, $plan] = planOf();
    // The week says so; not the day on which somebody planned another, nor where no ride is usual.
    [, $planned] = planOf([new PlannedRide(1, '2026-11-28', '2026-11-28', 1, 20.0)]);
    [, $shared] = planOf(settings: [[SettingKey::WeekWinter, 1, null]]);
    expect([
        $plan->riding[1]->asUsual(3),
        $planned->riding[1]->asUsual(3),
        $planned->riding[1]->asUsual(4),
        $shared->riding[1]->asUsual(3),
    ])->toBe([true, false, true, false]);
});

it('holds what a plan takes against the hours that one is willing to spend', function (): void {
    $terms = fn(?float $hours): PlanTerms => new PlanTerms(days: 14, weekdays: [4], evening: true, marginPct: 0.0, hoursWeekly: $hours);
    // Two weeks of two hours are 240 minutes.
    expect([$terms(2.0)->minutesTooMany(300.0), $terms(2.0)->minutesTooMany(240.0), $terms(null)->minutesTooMany(9000.0)])->toBe([
        60.0,
        0.0,
        0.0,
    ]);
});

it('has nothing to do for weeks in which nobody rides, and enough for any other', function (): void {
    $still = [[SettingKey::WeekWinter, 1, [0, 0, 0, 0, 0, 0, 0]]];
    expect(planOf(settings: $still)[1]->idle())->toBeTrue();
    // Four days that ask for no pot: they are ridden all the same.
    $plan = planOf(terms: ['days' => 4])[1];
    expect([$plan->result()->potDays, $plan->idle()])->toBe([[], false]);
});
