<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * Chains go into the bath: where the two meet (enthalpy of wax, vessel and steel, the melting range included), how long a
 * chain takes to come within `withinC` of the bath (t = τ·ln((bath − chain) / within), τ = c / (h·A per gram), lumped), and
 * how long the heater takes to bring the bath back. Valid for a Biot number below 0.1. Unrounded.
 * Source: lumped capacitance and energy balance, any textbook of heat transfer (memory); area and film: house rules.
 */
final readonly class PotDip implements Model
{
    private const MM2_PER_M2 = 1e6;

    private const S_PER_MIN = 60.0;

    public function __invoke(PotDipInput $in): PotDipResult
    {
        $mixedC = $this->mixed($in);
        $seconds = max([0.0, ...array_map(fn(DippedChain $chain) => $this->secondsOf($in, $chain), $in->chains)]);
        $recover = $this->recoverMinutes($in, $mixedC);
        $liquid = $in->wax->liquidFraction($mixedC);

        return new PotDipResult(
            $mixedC,
            (1 - $liquid) * $in->waxG,
            $seconds,
            $recover,
            $seconds / self::S_PER_MIN + ($recover ?? 0.0),
            $liquid >= 1.0,
        );
    }

    public function compute(Fields $input): array
    {
        return $this(PotDipInput::from($input))->toArray();
    }

    /** The temperature at which bath and chains have as much heat together as they brought. */
    private function mixed(PotDipInput $in): float
    {
        // What the chains lack, or bring too much, against the bath as it was.
        $missingJ = array_sum(
            array_map(fn(DippedChain $chain) => $chain->massG * $in->steelJPerGk * ($in->bathC - $chain->tempC), $in->chains),
        );

        return $in->wax->cooledBy($missingJ, $in->waxG, $in->vesselJPerK + $in->steelJPerK(), $in->bathC);
    }

    private function secondsOf(PotDipInput $in, DippedChain $chain): float
    {
        $gapC = $in->bathC - $chain->tempC;
        $tauS = $in->steelJPerGk / (($in->filmWPerM2k * $in->chainAreaMm2PerG) / self::MM2_PER_M2);

        return $gapC <= $in->withinC ? 0.0 : $tauS * log($gapC / $in->withinC);
    }

    private function recoverMinutes(PotDipInput $in, float $mixedC): ?float
    {
        $wantedC = $in->bathC - $in->withinC;
        if ($mixedC >= $wantedC) {
            return 0.0;
        }
        $course = new HeatCourse($in->wax, $in->waxG, $in->vesselJPerK + $in->steelJPerK(), $in->powerW, $in->lossWPerK, $in->ambientC);
        $seconds = $course->secondsTo($mixedC, $wantedC);

        return $seconds === null ? null : $seconds / self::S_PER_MIN;
    }
}
