<?php

declare(strict_types=1);

namespace Tests\Core\Pot;

use Dripel\Core\Pot\WaxProperties;

/** J of wax and what is beside it (vessel, steel) at one temperature, from 0 °C: written apart from the models. */
final class Held
{
    public static function joule(float $celsius, float $waxG, float $besideJPerK, WaxProperties $wax = new WaxProperties()): float
    {
        $solid = $waxG * $wax->solidJPerGk * min($celsius, $wax->meltFromC);
        $melting =
            $waxG *
            ((($wax->solidJPerGk + $wax->liquidJPerGk) / 2) * ($wax->meltToC - $wax->meltFromC) + $wax->latentJPerG) *
            $wax->liquidFraction($celsius);
        $liquid = $waxG * $wax->liquidJPerGk * max(0.0, $celsius - $wax->meltToC);

        return $solid + $melting + $liquid + $besideJPerK * $celsius;
    }
}
