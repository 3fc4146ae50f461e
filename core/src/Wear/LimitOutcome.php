<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/**
 * What one school of limits makes of a chain: when it is retired, in km since it was new, and what chains and cassettes then
 * cost, in minor units of money for 1000 km. Null where the limit lies beyond the horizon.
 */
final readonly class LimitOutcome
{
    /** A cassette outlives four to five chains if each is retired in time. Common practice. */
    private const CHAINS_AT_BEST = 5;

    private const CHAINS_AT_WORST = 4;

    /** Run too far, chain and cassette must be replaced together. Common practice. */
    private const CHAINS_RUN_TOO_FAR = 1;

    private const KM = 1000.0;

    private function __construct(
        public LimitSchool $school,
        public float $limitPct,
        public ?float $retireKm,
        public int $chainsPerCassetteAtWorst,
        public int $chainsPerCassetteAtBest,
        public ?float $leastPer1000Km,
        public ?float $mostPer1000Km,
    ) {}

    /**
     * Every school on one chain, as it wears now. In time is what the school that looks at the speeds calls so: past it nobody
     * says how much longer a cassette lasts, so its share lies between the best case and a new one with each chain.
     *
     * @return list<self>
     */
    public static function all(WearBelief $belief, int $speeds, float $chainMinor, float $cassetteMinor): array
    {
        return array_map(function (LimitSchool $school) use ($belief, $speeds, $chainMinor, $cassetteMinor): self {
            $limitPct = $school->limitPct($speeds);
            $x = $belief->firstPast(0.0, WearForecastInput::HORIZON_KM / self::KM, $limitPct, 0.5);
            $worst = $limitPct > LimitSchool::BySpeeds->limitPct($speeds) ? self::CHAINS_RUN_TOO_FAR : self::CHAINS_AT_WORST;
            $cost = fn(int $chains): ?float => $x === null ? null : ($chainMinor + $cassetteMinor / $chains) / $x;

            return new self(
                $school,
                $limitPct,
                $x === null ? null : self::KM * $x,
                $worst,
                self::CHAINS_AT_BEST,
                $cost(self::CHAINS_AT_BEST),
                $cost($worst),
            );
        }, LimitSchool::cases());
    }
}
