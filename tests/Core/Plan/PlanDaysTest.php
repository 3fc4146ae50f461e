<?php

declare(strict_types=1);

use Dripel\Core\Plan\BookedPot;
use Dripel\Core\Plan\PlanDays;
use Dripel\Core\Plan\PlannedBike;
use Dripel\Core\Plan\PlannedChain;
use Dripel\Core\Plan\PlanTerms;

function daysS(string $time): int
{
    return (int) strtotime("{$time} UTC");
}

/** From Wednesday 25 November 2026 on, two weeks, the pot on Thursdays. @param list<BookedPot> $booked */
function planDays(string $now, array $terms = [], array $booked = []): PlanDays
{
    return new PlanDays(
        new PlanTerms(...$terms + ['days' => 15, 'weekdays' => [4], 'evening' => true]),
        $booked,
        daysS($now),
        new DateTimeZone('UTC'),
    );
}

it('knows on which days the pot may be heated: the weekdays, what is pinned or accepted, what is forbidden, what is over', function (
    array $terms,
    string $now,
    array $allowed,
    int $first,
): void {
    $days = planDays($now, $terms);
    expect([array_keys(array_filter($days->allowed)), $days->first])->toBe([$allowed, $first]);
})->with([
    // An evening serves the next day: Thursday’s the Friday, day 2 and 9.
    'evenings' => [[], '2026-11-25 12:00', [2, 9], 1],
    'mornings' => [['evening' => false], '2026-11-25 12:00', [1, 8], 1],
    'a morning that can still be used' => [['evening' => false, 'weekdays' => [3]], '2026-11-25 11:59', [0, 7, 14], 0],
    'and one that is over' => [['evening' => false, 'weekdays' => [3]], '2026-11-25 12:00', [7, 14], 1],
    'this evening' => [['weekdays' => [3]], '2026-11-25 21:59', [1, 8], 1],
    'too late for this evening' => [['weekdays' => [3]], '2026-11-25 22:00', [8], 2],
    'pinned on another weekday' => [['pinned' => ['2026-11-27']], '2026-11-25 12:00', [2, 3, 9], 1],
    'pinned for an evening that is over' => [['pinned' => ['2026-11-25']], '2026-11-25 22:00', [2, 9], 2],
    'forbidden' => [['forbidden' => ['2026-11-26']], '2026-11-25 12:00', [9], 1],
    'pinned and forbidden: pinned' => [['forbidden' => ['2026-11-26'], 'pinned' => ['2026-11-26']], '2026-11-25 12:00', [2, 9], 1],
]);

it('keeps an accepted pot day to its own hour, whatever the weekday', function (): void {
    $days = planDays(
        '2026-11-25 12:00',
        [],
        [
            new BookedPot(daysS('2026-11-28 21:30'), [1], false),
            new BookedPot(daysS('2026-11-28 15:30'), [2], false),
            new BookedPot(daysS('2026-11-25 10:00'), [3], true),
            new BookedPot(daysS('2026-11-24 19:00'), [4], false),
        ],
    );
    expect([$days->accepted, $days->pinned, array_keys(array_filter($days->allowed))])
        ->toBe([[4], [4], [2, 4, 9]])
        ->and([$days->potOn(4), $days->potS(4), $days->potS(2)])
        ->toBe(['2026-11-28', daysS('2026-11-28 15:30'), daysS('2026-11-26 19:00')])
        // Never before now.
        ->and(planDays('2026-11-25 20:15')->potS(1))
        ->toBe(daysS('2026-11-25 20:15'));
});

it('finds days by date, pots by date, weeks, and the last pot before an instant', function (): void {
    $days = planDays('2026-11-25 12:00', ['weekdays' => [4, 6]]);
    expect([$days->ofDate('2026-11-24'), $days->ofDate('2026-11-25'), $days->ofDate('2026-12-09'), $days->ofDate('2026-12-10')])
        ->toBe([null, 0, 14, null])
        ->and([$days->ofPot('2026-11-24'), $days->ofPot('2026-11-25'), $days->ofPot('2026-12-08'), $days->ofPot('2026-12-09')])
        ->toBe([null, 1, 14, null])
        ->and($days->weekOf('2026-11-26'))
        ->toBe(['2026-11-26', '2026-11-28'])
        ->and($days->weekOf('2026-11-30'))
        ->toBe(['2026-12-03', '2026-12-05'])
        ->and([
            $days->lastBefore(daysS('2026-11-25 18:59')),
            $days->lastBefore(daysS('2026-11-25 19:00')),
            $days->lastBefore(daysS('2026-11-27 12:00')),
        ])
        ->toBe([-1, 1, 2]);
    $mornings = planDays('2026-11-25 06:00', ['evening' => false]);
    expect([$mornings->ofPot('2026-11-25'), $mornings->ofPot('2026-12-09'), $mornings->potOn(3)])->toBe([0, 14, '2026-11-28']);
});

it('knows how much of a coat is left by what runs out first, and whether it is choosy', function (): void {
    $chain = fn(array $of = []) => new PlannedChain(...$of + ['id' => 1, 'usedKm' => 0.0]);
    $bike = fn(?float $km, ?float $hours, array $chains) => new PlannedBike(
        7,
        $km,
        [0.0],
        $chains,
        0,
        $hours,
        $hours === null ? [] : [0.0],
    );
    expect([
        $bike(300.0, null, [$chain()])->coat(150.0, null),
        $bike(300.0, 10.0, [$chain()])->coat(150.0, 2.5),
        $bike(300.0, 10.0, [$chain()])->coat(30.0, 2.5),
        $bike(null, 10.0, [$chain()])->coat(null, 2.5),
    ])
        ->toEqualWithDelta([0.5, 0.25, 0.1, 0.25], 1e-12)
        ->and([
            $bike(300.0, null, [$chain()])->choosy(),
            $bike(300.0, null, [$chain(), $chain(['id' => 2, 'dipFrom' => 1])])->choosy(),
            $bike(300.0, null, [$chain(), $chain(['id' => 2, 'notOn' => [3]])])->choosy(),
        ])
        ->toBe([false, true, true]);
});
