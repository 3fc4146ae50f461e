<?php

declare(strict_types=1);

use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Plan\LearnedMinutes;
use Dripel\Core\Plan\OftenDone;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\WorkedDay;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\Strip\StripPlan;

/**
 * A pot day of three chains, two of which go in together: each step took so many minutes.
 *
 * @param list<float> $took
 */
function workedRun(array $took, JobEventKind $third = JobEventKind::Done): JobRun
{
    $steps = [
        new JobStep('prepare'),
        new JobStep(PotDayPlan::HEAT, 2400),
        new JobStep(PotDayPlan::IN, 20, chains: [1, 2], skippable: true),
        new JobStep(PotDayPlan::UNDER, 300, chains: [1, 2]),
        new JobStep(PotDayPlan::HANG, chains: [1], skippable: true),
        new JobStep(PotDayPlan::HANG, chains: [2], skippable: true),
        new JobStep(PotDayPlan::IN, 20, chains: [3], skippable: true),
        new JobStep(PotDayPlan::UNDER, 300, chains: [3], skippable: true),
        new JobStep(PotDayPlan::HANG, chains: [3], skippable: true),
        new JobStep(PotDayPlan::OFF),
    ];
    [$atS, $events] = [1_000_000, []];
    foreach ($took as $position => $minutes) {
        $atS += (int) round(60 * $minutes);
        $events[] = new JobEvent(in_array($position, [6, 7, 8], true) ? $third : JobEventKind::Done, $position, $atS);
    }

    return JobRun::of($steps, 1_000_000, $events);
}

it('takes apart what is done once, for each dip and for each batch; what can be left and what was forgotten is no work', function (): void {
    $day = WorkedDay::potDay(workedRun([4, 40, 1, 6, 2, 3, 1, 6, 2, 5]));

    // Heating takes forty minutes, more than the half hour from which on it is left.
    expect($day)
        ->not->toBeNull()
        ->and([$day->fixedMinutes, $day->dipMinutes, $day->batchMinutes, $day->dips, $day->batches])
        ->toBe([9.0, 14.0, 7.0, 3, 2])
        ->and($day->minutes())
        ->toBe(30.0);
    // Tapped only the next morning: the step is taken to last what steps of its kind do.
    $forgotten = WorkedDay::potDay(workedRun([4, 40, 1, 6, 2, 3, 1, 6, 2, 700]));
    expect($forgotten?->fixedMinutes)->toBe(4.0 + JobStep::HANDLING_S / 60);
    // Just short of half an hour it is what it was.
    expect(WorkedDay::potDay(workedRun([29.9, 40, 1, 6, 2, 3, 1, 6, 2, 5]))?->fixedMinutes)->toEqualWithDelta(34.9, 1e-9);
    // A chain that was passed over took time, but was not dipped.
    $passed = WorkedDay::potDay(workedRun([4, 40, 1, 6, 2, 3, 1, 6, 2, 5], JobEventKind::Skip));
    expect([$passed?->dips, $passed?->batches, $passed?->dipMinutes])->toBe([2, 1, 14.0]);
    expect(WorkedDay::potDay(workedRun([4, 40])))->toBeNull();
    // A swap goes through its last step; the kilometre after it is ridden.
    expect(WorkedDay::through(workedRun([4, 40, 1, 6]), 2))->toBe(5.0);
});

/** @param list<float> $took what each step took, in minutes */
function strippedRun(array $took): ?float
{
    $steps = [
        new JobStep('prepare'),
        new JobStep('soak', 900),
        new JobStep('look', about: [StripPlan::ENDS_BATHS => true], againFrom: 1),
        new JobStep('air', 3600),
        new JobStep('check'),
    ];
    [$atS, $events] = [1_000_000, []];
    foreach ($took as $position => $minutes) {
        $atS += (int) round(60 * $minutes);
        $events[] = new JobEvent(JobEventKind::Done, $position, $atS);
    }

    return WorkedDay::strip(JobRun::of($steps, 1_000_000, $events), 2);
}

it('takes a strip from its taps, if the steel got bare', function (): void {
    expect(strippedRun([3, 15, 2, 60, 2]))->toBe(22.0)->and(strippedRun([3, 15]))->toBeNull();
});

it('learns from three of a kind on, from the last eight, so that the plan comes to what they took', function (): void {
    $day = fn(float $once): WorkedDay => WorkedDay::potDay(workedRun([$once, 40, 1, 6, 2, 3, 1, 6, 2, 5])) ?? throw new LogicException();
    $terms = new PlanTerms(29, [6], true, potCapacity: 2);
    // Put ready, fifteen minutes in a bath, looked at, dried for an hour, put away: the hour is no work.
    $strip = fn(float $look): float => strippedRun([3, 15, $look, 60, 2]) ?? throw new LogicException();
    $nothing = LearnedMinutes::of([$day(4), $day(4)], [3.0, 3.0], [$strip(20), $strip(20)]);
    expect($nothing->fixedMinutes)
        ->toBeNull()
        ->and([$nothing->swaps, $nothing->strips])
        ->toBe([null, null])
        ->and($nothing->news($terms))
        ->toBeFalse()
        ->and($nothing->applied($terms))
        ->toEqual($terms);

    $days = [$day(4), $day(10), $day(7)];
    $learned = LearnedMinutes::of($days, [5.0, 7.0, 9.0], [$strip(1), $strip(5), $strip(4.5)]);
    expect([$learned->days?->times, $learned->dips, $learned->swaps?->times, $learned->strips?->times])
        ->toBe([3, 9, 3, 3])
        ->and([
            $learned->fixedMinutes,
            $learned->dipMinutes,
            $learned->batchMinutes,
            $learned->swaps?->meanMinutes,
            $learned->strips?->meanMinutes,
        ])
        ->toEqualWithDelta([12.0, 14 / 3, 3.5, 7.0, 23.5], 1e-9)
        ->and(
            array_map(fn(?OftenDone $one) => [$one?->leastMinutes, $one?->mostMinutes], [
                $learned->days,
                $learned->swaps,
                $learned->strips,
            ]),
        )
        ->toEqual([[30.0, 36.0], [5.0, 9.0], [21.0, 25.0]])
        ->and($learned->news($terms))
        ->toBeTrue()
        ->and($learned->news($learned->applied($terms)))
        ->toBeFalse();
    // Three chains, two at once, on each of the three days.
    expect(3 * $learned->applied($terms)->potDayMinutes(3))->toEqualWithDelta(
        array_sum(array_map(fn(WorkedDay $one) => $one->minutes(), $days)),
        1e-9,
    );
    // An old slow one falls out.
    $many = LearnedMinutes::of([$day(25), ...array_map(fn() => $day(4), range(1, 8))], [99.0, ...array_fill(0, 8, 4.0)], []);
    expect([$many->days?->times, $many->fixedMinutes, $many->swaps?->times, $many->swaps?->meanMinutes, $many->strips])->toBe([
        8,
        9.0,
        8,
        4.0,
        null,
    ]);
    // Nothing but strips was led: the rest stays as it is.
    $strips = LearnedMinutes::of([], [], array_fill(0, 3, $strip(10)));
    expect($strips->applied($terms))->toEqual($terms->taking(45.0, 4.0, 10.0, 3.0, 30.0))->and($strips->news($terms))->toBeTrue();
    // Where every chain goes in alone there is nothing apart for a batch.
    $alone = fn(): WorkedDay => WorkedDay::potDay(
        JobRun::of([new JobStep(PotDayPlan::IN, chains: [1]), new JobStep(PotDayPlan::HANG, chains: [1])], 0, [
            new JobEvent(JobEventKind::Done, 0, 120),
            new JobEvent(JobEventKind::Done, 1, 300),
        ]),
    ) ?? throw new LogicException();
    $single = LearnedMinutes::of([$alone(), $alone(), $alone()], [], []);
    expect([$single->fixedMinutes, $single->dipMinutes, $single->batchMinutes, $single->applied($terms)->batchMinutes])->toBe([
        0.0,
        5.0,
        null,
        0.0,
    ]);
});
