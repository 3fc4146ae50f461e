<?php

declare(strict_types=1);

use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\UsualHeat;

it('takes a pot whose plate nobody read for as strong as heats it in the minutes it took', function (): void {
    // pot.heat's own example: 120 W heat 500 g from 20 to 85 °C in 61 minutes; so as many minutes ask for 120 W.
    $pot = new PotHeatInput(500, 20, 20, 120, 1.3, 85);
    $minutes = (float) (new PotHeat())($pot)->minutesToTarget;
    expect(UsualHeat::powerW($pot, $minutes))
        ->toEqualWithDelta(120.0, 0.01)
        ->and(UsualHeat::minutes(PotKind::SlowCooker, false, 500.0))
        ->toBe(75.0)
        ->and(UsualHeat::minutes(PotKind::Pan, true, 250.0))
        ->toBe(7.5)
        ->and(UsualHeat::minutesAsThen(1800, 300.0, 600.0))
        ->toBe(60.0)
        ->and(UsualHeat::powerW($pot, 0.01))
        ->toEqualWithDelta(5000.0, 0.01);
});
