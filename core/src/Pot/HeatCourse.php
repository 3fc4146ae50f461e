<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/**
 * A lump of wax and vessel between a heater and the room: C(T)·dT/dt = P − U(T − Ta), C constant below, within and above
 * the melting range. Within each range the exact exponential, or the straight line where nothing is lost: no time steps.
 * Seconds, °C, W, W/K, J/K. Source: lumped capacitance with a constant source, any textbook of heat transfer (memory).
 */
final readonly class HeatCourse
{
    /** So near the equilibrium that it is never passed, as a part of the way there. */
    private const AT_EQUILIBRIUM = 1e-12;

    /** @var array{float, float, float} */
    private array $capacities;

    public function __construct(
        private WaxProperties $wax,
        float $waxG,
        float $besideJPerK,
        private float $heatW,
        private float $lossWPerK,
        private float $ambientC,
    ) {
        $this->capacities = $wax->heatCapacities($waxG, $besideJPerK);
    }

    /** Where it ends if nothing is done; null if nothing is lost. */
    public function equilibriumC(): ?float
    {
        return $this->lossWPerK > 0.0 ? $this->ambientC + $this->heatW / $this->lossWPerK : null;
    }

    /** Seconds from one temperature to another, 0 where they are the same; null if it never passes it. */
    public function secondsTo(float $fromC, float $toC): ?float
    {
        $seconds = 0.0;
        while ($fromC !== $toC) {
            $netW = $this->netW($fromC);
            if ($netW === 0.0 || $netW > 0.0 !== $toC > $fromC) {
                return null;
            }
            [$capacity, $edgeC] = $this->range($fromC, $netW > 0.0);
            $nextC = $netW > 0.0 ? min($toC, $edgeC) : max($toC, $edgeC);
            $within = $this->secondsWithin($capacity, $fromC, $nextC, $netW);
            if ($within === null) {
                return null;
            }
            $seconds += $within;
            $fromC = $nextC;
        }

        return $seconds;
    }

    /** The temperature after so many seconds. */
    public function after(float $fromC, float $seconds): float
    {
        while ($seconds > 0.0) {
            $netW = $this->netW($fromC);
            if ($netW === 0.0) {
                return $fromC;
            }
            [$capacity, $edgeC] = $this->range($fromC, $netW > 0.0);
            $toEdge = is_finite($edgeC) ? $this->secondsWithin($capacity, $fromC, $edgeC, $netW) : null;
            if ($toEdge === null || $toEdge > $seconds) {
                return $this->lossWPerK > 0.0
                    ? $fromC - ($netW / $this->lossWPerK) * expm1((-$this->lossWPerK * $seconds) / $capacity)
                    : $fromC + ($netW * $seconds) / $capacity;
            }
            $seconds -= $toEdge;
            $fromC = $edgeC;
        }

        return $fromC;
    }

    private function netW(float $celsius): float
    {
        return $this->heatW - $this->lossWPerK * ($celsius - $this->ambientC);
    }

    /** @return array{float, float} the heat capacity of the range that it goes through from here, and where that range ends */
    private function range(float $celsius, bool $warming): array
    {
        [$from, $to] = [$this->wax->meltFromC, $this->wax->meltToC];

        return match (true) {
            $warming ? $celsius < $from : $celsius <= $from => [$this->capacities[0], $warming ? $from : -INF],
            $warming ? $celsius < $to : $celsius <= $to => [$this->capacities[1], $warming ? $to : $from],
            default => [$this->capacities[2], $warming ? INF : $to],
        };
    }

    /** Written so that it also holds for hardly any loss; null where the equilibrium lies before. */
    private function secondsWithin(float $capacity, float $fromC, float $toC, float $netW): ?float
    {
        $part = ($this->lossWPerK * ($toC - $fromC)) / $netW;

        return match (true) {
            $this->lossWPerK === 0.0 => ($capacity * ($toC - $fromC)) / $netW,
            $part >= 1.0 - self::AT_EQUILIBRIUM => null,
            default => (-$capacity / $this->lossWPerK) * log1p(-$part),
        };
    }
}
