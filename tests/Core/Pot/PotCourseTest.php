<?php

declare(strict_types=1);

use Dripel\Core\Pot\DippedChain;
use Dripel\Core\Pot\HeatPoint;
use Dripel\Core\Pot\PotChange;
use Dripel\Core\Pot\PotCourse;
use Dripel\Core\Pot\PotDip;
use Dripel\Core\Pot\PotDipInput;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\WaxProperties;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Pot\Held;

it('is pot.heat from the moment it is switched on, and stays as it is before', function (): void {
    $pot = new PotHeatInput(500, 20, 20, 120, 1.3, 85, stepMin: 5.0);
    $course = new PotCourse($pot, [PotChange::power(600, 120)]);
    expect($course->celsius(0))->toBe(20.0)->and($course->celsius(600))->toBe(20.0);
    foreach ((new PotHeat())($pot)->curve as $point) {
        expect($course->celsius(600 + 60 * $point->min))->toEqualWithDelta($point->tempC, 1e-9);
    }
    // Its own curve is what it says at each instant.
    expect(array_map(fn(HeatPoint $point) => [$point->min, $point->tempC], $course->curve(1800, 600)))->toBe(
        array_map(fn(int $i) => [10.0 * $i, $course->celsius(600 * $i)], range(0, 3)),
    );
});

it('drops as pot.dip says when chains go in, and recovers more slowly with their steel in it', function (): void {
    $pot = new PotHeatInput(420, 85, 20, 100, 1.3, 85);
    $chains = [new DippedChain(254, 20), new DippedChain(240, 20)];
    $met = (new PotDip())(new PotDipInput(420, 85, $chains));
    $with = new PotCourse($pot, [PotChange::in(0, $chains), PotChange::power(0, 100)]);
    $taken = new PotCourse($pot, [PotChange::in(0, $chains), PotChange::power(0, 100), PotChange::out(1, 494)]);
    expect($with->celsius(0))
        ->toEqualWithDelta($met->mixedC, 1e-9)
        ->and($with->celsius(300))
        ->toBeGreaterThan($met->mixedC)
        ->toBeLessThan($taken->celsius(300));
});

it('knows when it passes a limit, and when it never does', function (): void {
    $pot = new PotHeatInput(500, 20, 20, 160, 1.3, 85);
    $strong = new PotCourse($pot, [PotChange::power(0, 160)]);
    $passes = (float) $strong->passesS(100, 36000);
    expect($strong->celsius($passes))
        ->toBeGreaterThan(100)
        ->and($strong->celsius($passes - 60))
        ->toBeLessThanOrEqual(100)
        ->and(fmod($passes, 60.0))
        ->toBe(0.0)
        ->and($strong->passesS(100, $passes - 60))
        ->toBeNull()
        // 20 + 90 / 1.3 is 89 °C.
        ->and((new PotCourse($pot, [PotChange::power(0, 90)]))->passesS(100, 36000))
        ->toBeNull()
        // Switched off in time it never gets there.
        ->and((new PotCourse($pot, [PotChange::power(0, 160), PotChange::power($passes - 900, 0)]))->passesS(100, 36000))
        ->toBeNull();
});

it('loses and makes no heat of its own, whatever goes in and out', function (): void {
    $dice = new Randomizer(new Mt19937(3));
    for ($try = 0; $try < 200; $try++) {
        [$waxG, $startC] = [(float) $dice->getInt(200, 900), (float) $dice->getInt(10, 95)];
        $pot = new PotHeatInput($waxG, $startC, 20, 100, 0.0, 80);
        // No loss: what the heater gives and the chains bring is there afterwards.
        [$changes, $heatJ, $steelG, $atS, $watts] = [[], Held::joule($startC, $waxG, 1400), 0.0, 0.0, 0.0];
        foreach (range(1, $dice->getInt(1, 6)) as $i) {
            $stepS = (float) $dice->getInt(1, 1500);
            $atS += $stepS;
            $heatJ += $watts * $stepS;
            if ($dice->getInt(0, 1) === 0) {
                $watts = (float) $dice->getInt(0, 200);
                $changes[] = PotChange::power($atS, $watts);
            } else {
                $massG = (float) $dice->getInt(150, 350);
                $steelG += $massG;
                $heatJ += 0.49 * $massG * 20;
                $changes[] = PotChange::in($atS, [new DippedChain($massG, 20)]);
            }
        }
        $celsius = (new PotCourse($pot, $changes))->celsius($atS);
        expect(Held::joule($celsius, $waxG, 1400 + 0.49 * $steelG))->toEqualWithDelta($heatJ, 1e-6 * $heatJ);
    }
});

it('cools and warms through the melting range by the heat taken, from either side', function (): void {
    $wax = new WaxProperties();
    foreach ([90.0, 58.0, 55.0, 52.0, 30.0] as $fromC) {
        foreach ([0.0, 1e3, 2e4, 9e4, 2e5] as $joule) {
            $after = $wax->cooledBy($joule, 400, 1400, $fromC);
            expect(Held::joule($fromC, 400, 1400) - Held::joule($after, 400, 1400))->toEqualWithDelta($joule, 1e-6);
        }
    }
});
