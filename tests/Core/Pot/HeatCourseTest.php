<?php

declare(strict_types=1);

use Dripel\Core\Pot\HeatCourse;
use Dripel\Core\Pot\WaxProperties;

/**
 * A lump of 100 g: 200 J/K solid, 300 J/K liquid, 2,250 J/K while it melts from 50 to 60 °C (250 + 20,000/10).
 */
function lump(float $heatW, float $lossWPerK = 0.0, float $besideJPerK = 0.0): HeatCourse
{
    return new HeatCourse(new WaxProperties(2.0, 3.0, 200.0, 50.0, 60.0), 100.0, $besideJPerK, $heatW, $lossWPerK, 20.0);
}

it('warms and cools in straight lines where nothing is lost', function (float $heatW, float $fromC, float $toC, ?float $seconds): void {
    $course = lump($heatW);
    expect($course->secondsTo($fromC, $toC))->toEqual($seconds);
    if ($seconds !== null && $seconds > 0.0) {
        expect($course->after($fromC, $seconds))
            ->toEqualWithDelta($toC, 1e-9)
            ->and($course->after($fromC, $seconds / 2))
            ->toBeGreaterThan(min($fromC, $toC))
            ->toBeLessThan(max($fromC, $toC));
    }
})->with([
    'solid' => [10.0, 20.0, 40.0, 400.0],
    'by half a watt' => [0.5, 20.0, 40.0, 8000.0],
    'to the edge' => [10.0, 20.0, 50.0, 600.0],
    'from the edge' => [10.0, 50.0, 60.0, 2250.0],
    'liquid' => [10.0, 60.0, 70.0, 300.0],
    'through all three' => [10.0, 40.0, 70.0, 200.0 + 2250.0 + 300.0],
    'drawn down through all three' => [-10.0, 70.0, 40.0, 300.0 + 2250.0 + 200.0],
    'no heat at all' => [0.0, 40.0, 60.0, null],
    'no heat at all, downwards' => [0.0, 60.0, 40.0, null],
    'the wrong way' => [10.0, 60.0, 40.0, null],
    'there already' => [0.0, 60.0, 60.0, 0.0],
]);

it('nears the balance of heat and loss, and never passes it', function (): void {
    // 20 W over 0.5 W/K: 40 K above the room, 60 °C.
    $course = lump(20.0, 0.5);
    expect($course->equilibriumC())
        ->toBe(60.0)
        ->and(lump(20.0)->equilibriumC())
        ->toBeNull()
        ->and($course->secondsTo(20.0, 60.0))
        ->toBeNull()
        ->and($course->secondsTo(20.0, 61.0))
        ->toBeNull()
        ->and($course->secondsTo(70.0, 59.0))
        ->toBeNull()
        // τ = 200/0.5 = 400 s, solid: half of the way to 60 after τ ln 2.
        ->and($course->secondsTo(20.0, 40.0))
        ->toEqualWithDelta(400.0 * M_LN2, 1e-9)
        ->and($course->after(20.0, 400.0 * M_LN2))
        ->toEqualWithDelta(40.0, 1e-9)
        ->and($course->after(60.0, 500.0))
        ->toBe(60.0)
        // τ = 300/0.5 = 600 s, liquid, falling towards 60.
        ->and($course->after(80.0, 600.0 * M_LN2))
        ->toEqualWithDelta(70.0, 1e-9)
        ->and($course->after(33.0, 0.0))
        ->toBe(33.0);
});

it('counts the vessel with the wax, in every range', function (): void {
    expect(lump(10.0, besideJPerK: 100.0)->secondsTo(40.0, 70.0))->toEqualWithDelta(300.0 + 2350.0 + 400.0, 1e-9);
});
