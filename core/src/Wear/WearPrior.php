<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Interval\LifeCurve;

/** What is known of a kind of chain before one is measured: its rate log-normal in % per 1000 km, its first elongation normal in %. */
final readonly class WearPrior
{
    /** A factor of two now and then. */
    public const RATE_LOG_SD = 0.6;

    private const INITIAL_PCT = 0.02;

    private const INITIAL_SD_PCT = 0.02;

    private const ANYWHERE_SD_PCT = 0.5;

    public function __construct(public float $rateMedian, public float $rateLogSd, public float $initialMean, public float $initialSd)
    {
        Check::positive('rate_pct_per_1000km.median', $rateMedian);
        Check::positive('rate_pct_per_1000km.log_sd', $rateLogSd);
        Check::finite('initial_pct.mean', $initialMean);
        Check::positive('initial_pct.sd', $initialSd);
    }

    /**
     * From the interval at which a chain is waxed, by what life that lets expect. The spreads and the first elongation are house
     * rules: chains of one kind differ by a factor of two now and then, and a new one is a little longer than nominal.
     */
    public static function ofInterval(float $limitPct, float $intervalKm, LifeCurve $curve): self
    {
        return new self(
            (1000.0 * Check::positive('limit_pct', $limitPct)) / $curve->lifeKm(Check::positive('interval_km', $intervalKm)),
            self::RATE_LOG_SD,
            self::INITIAL_PCT,
            self::INITIAL_SD_PCT,
        );
    }

    /** Of a chain that was ridden on something else before: how long it was when its wax began, nobody knows. House rule. */
    public function startingAnywhere(): self
    {
        return new self($this->rateMedian, $this->rateLogSd, $this->initialMean, self::ANYWHERE_SD_PCT);
    }

    public static function from(Fields $in): self
    {
        $in->only('rate_pct_per_1000km', 'initial_pct');
        [$median, $logSd] = $in->nested(
            'rate_pct_per_1000km',
            fn(Fields $rate): array => [$rate->only('median', 'log_sd')->number('median'), $rate->number('log_sd')],
        );
        [$mean, $sd] = $in->nested(
            'initial_pct',
            fn(Fields $initial): array => [$initial->only('mean', 'sd')->number('mean'), $initial->number('sd')],
        );

        return new self($median, $logSd, $mean, $sd);
    }
}
