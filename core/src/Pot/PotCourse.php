<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/**
 * The temperature of a bath through a whole pot day: the power is changed, cold chains go in and come out as warm as the
 * wax. Between changes the law is HeatCourse's, at a change the energy balance of pot.dip; steel in the bath takes up heat
 * as the vessel does. Seconds, °C, unrounded.
 */
final readonly class PotCourse
{
    private const S_PER_MIN = 60.0;

    /**
     * @param PotHeatInput $pot as it stands at second 0, without power
     * @param list<PotChange> $changes in order of time
     */
    public function __construct(private PotHeatInput $pot, private array $changes) {}

    public function celsius(float $seconds): float
    {
        [$atS, $celsius, $powerW, $steelG] = [0.0, $this->pot->startC, 0.0, 0.0];
        foreach ($this->changes as $change) {
            if ($change->atS > $seconds) {
                break;
            }
            $celsius = $this->course($powerW, $steelG)->after($celsius, $change->atS - $atS);
            $celsius = $this->with($change->in, $celsius, $steelG);
            $atS = $change->atS;
            $powerW = $change->powerW ?? $powerW;
            $steelG = max(0.0, $steelG + self::massG($change->in) - $change->outG);
        }

        return $this->course($powerW, $steelG)->after($celsius, $seconds - $atS);
    }

    /** @return list<HeatPoint> every so many seconds, from 0 to the end */
    public function curve(float $untilS, float $stepS): array
    {
        $points = [];
        for ($i = 0; $i * $stepS <= $untilS; $i++) {
            $celsius = $this->celsius($i * $stepS);
            $points[] = new HeatPoint(($i * $stepS) / self::S_PER_MIN, $celsius, $this->pot->wax->liquidFraction($celsius));
        }

        return $points;
    }

    /** The first minute's end after which it is above a limit; null if it never is by then. */
    public function passesS(float $limitC, float $untilS): ?float
    {
        for ($atS = 0.0; $atS <= $untilS; $atS += self::S_PER_MIN) {
            if ($this->celsius($atS) > $limitC) {
                return $atS;
            }
        }

        return null;
    }

    private function course(float $powerW, float $steelG): HeatCourse
    {
        return new HeatCourse(
            $this->pot->wax,
            $this->pot->waxG,
            $this->pot->vesselJPerK + $steelG * PotDipInput::STEEL_J_PER_GK,
            $this->pot->efficiency * $powerW,
            $this->pot->lossWPerK,
            $this->pot->ambientC,
        );
    }

    /** @param list<DippedChain> $chains */
    private function with(array $chains, float $celsius, float $steelG): float
    {
        $missingJ = array_sum(
            array_map(fn(DippedChain $chain) => $chain->massG * PotDipInput::STEEL_J_PER_GK * ($celsius - $chain->tempC), $chains),
        );
        $besideJPerK = $this->pot->vesselJPerK + ($steelG + self::massG($chains)) * PotDipInput::STEEL_J_PER_GK;

        return $chains === [] ? $celsius : $this->pot->wax->cooledBy($missingJ, $this->pot->waxG, $besideJPerK, $celsius);
    }

    /** @param list<DippedChain> $chains */
    private static function massG(array $chains): float
    {
        return array_sum(array_map(fn(DippedChain $chain) => $chain->massG, $chains));
    }
}
