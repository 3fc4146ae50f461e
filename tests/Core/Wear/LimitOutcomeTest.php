<?php

declare(strict_types=1);

use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\LimitOutcome;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\WearFit;

it('says when each school retires a chain and what that costs', function (
    int $speeds,
    LimitSchool $school,
    float $limitPct,
    float $km,
    array $chains,
    array $cost,
): void {
    // By hand: two exact readings on a straight line, 0.05 % for every 1000 km from nothing; a chain at 30, a cassette at 60.
    $belief = WearFit::of([ForecastReading::exact(2000.0, 0.1, 0.01), ForecastReading::exact(4000.0, 0.2, 0.01)]);
    $found = array_values(
        array_filter(LimitOutcome::all($belief, $speeds, 3000.0, 6000.0), fn(LimitOutcome $o) => $o->school === $school),
    )[0];

    expect($found->limitPct)
        ->toBe($limitPct)
        ->and($found->retireKm)
        ->toEqualWithDelta($km, 0.1)
        ->and([$found->chainsPerCassetteAtWorst, $found->chainsPerCassetteAtBest])
        ->toBe($chains)
        ->and($found->mostPer1000Km)
        ->toEqualWithDelta($cost[0], 0.01)
        ->and($found->leastPer1000Km)
        ->toEqualWithDelta($cost[1], 0.01);
})->with([
    'in time: (30 + 60/4) and (30 + 60/5) in 10,000 km' => [12, LimitSchool::Strict, 0.5, 10_000.0, [4, 5], [450.0, 420.0]],
    'too far: (30 + 60) and (30 + 60/5) in 15,000 km' => [12, LimitSchool::OneMark, 0.75, 15_000.0, [1, 5], [600.0, 280.0]],
    'the same mark, in time at ten speeds' => [10, LimitSchool::OneMark, 0.75, 15_000.0, [4, 5], [300.0, 280.0]],
    'single speed, by speeds' => [1, LimitSchool::BySpeeds, 1.0, 20_000.0, [4, 5], [225.0, 210.0]],
    'digital at ten speeds: past its limit' => [10, LimitSchool::Digital, 0.8, 16_000.0, [1, 5], [562.5, 262.5]],
]);

it('says nothing of a limit that is not foreseen', function (): void {
    $belief = WearFit::of([ForecastReading::exact(2000.0, 0.1, 0.01), ForecastReading::exact(4000.0, 0.1, 0.01)]);
    $strict = LimitOutcome::all($belief, 12, 3000.0, 6000.0)[0];
    expect([$strict->retireKm, $strict->leastPer1000Km, $strict->mostPer1000Km])->toBe([null, null, null]);
});

it('retires a chain that was ruined within its first thousand kilometres', function (): void {
    $belief = WearFit::of([ForecastReading::exact(200.0, 0.2, 0.01), ForecastReading::exact(400.0, 0.4, 0.01)]);
    expect(LimitOutcome::all($belief, 12, 3000.0, 6000.0)[0]->retireKm)->toEqualWithDelta(500.0, 0.1);
});
