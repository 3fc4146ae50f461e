<?php

declare(strict_types=1);

namespace Tests\Core\PotDay;

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PowerProgram;

/** A small slow cooker of 130 by 105 mm with wax at 18 °C, by the default schools. */
final class ShedPot
{
    public static function terms(
        float $waxG = 620,
        float $watts = 90,
        float $holdW = 90,
        float $targetC = 80,
        WaxKind $wax = WaxKind::Plain,
        float $limitC = 100,
        PowerProgram $program = PowerProgram::Low,
        mixed ...$more,
    ): PotDayTerms {
        return new PotDayTerms(
            new PotHeatInput($waxG, 18, 18, $watts, 1.3, $targetC),
            new Vessel(130, 105),
            PotKind::SlowCooker,
            $wax,
            $limitC,
            $program,
            $holdW,
            ...$more,
        );
    }
}
