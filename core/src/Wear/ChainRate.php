<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Maths\Normal;

/**
 * What the readings of one chain alone say of the logarithm of its rate against what was expected of it: the posterior less its
 * prior, both taken as normal in the logarithm. Dimensionless; a precision is one over a variance.
 */
final readonly class ChainRate
{
    private const Q = 0.9;

    /** Asked so vaguely, a chain far from what was expected says so, and is not pulled half-way back. */
    private const VAGUE_LOG_SD = 2.0;

    /** A single chain is heard on its own from so many readings over so many km on: house rule. */
    public const ALONE_READINGS = 3;

    public const ALONE_KM = 1500.0;

    /** A chain that says less than this of its rate is not counted: it would only repeat the house rule. */
    private const LEAST_PRECISION = 1.0;

    /** @param float $overKm from its first reading to its last */
    public function __construct(public float $logFactor, public float $precision, public int $readings = 0, public float $overKm = 0.0) {}

    /** Whether it was measured well enough to be counted. */
    public function counts(): bool
    {
        return $this->precision >= self::LEAST_PRECISION;
    }

    /** Whether it may be heard where no other chain was measured. */
    public function standsAlone(): bool
    {
        return $this->counts() && $this->readings >= self::ALONE_READINGS && $this->overKm >= self::ALONE_KM - Check::EPSILON;
    }

    /** Precision 0 where the readings say nothing of the rate. */
    public static function of(WearForecastInput $in): self
    {
        if ($in->prior === null || $in->readings === []) {
            return new self(0.0, 0.0);
        }
        $belief = WearForecast::belief(
            $in->expecting(new WearPrior($in->prior->rateMedian, self::VAGUE_LOG_SD, $in->prior->initialMean, $in->prior->initialSd)),
        );
        $logSd = log($belief->rateQuantile(self::Q) / $belief->rateQuantile(1.0 - self::Q)) / (2.0 * Normal::quantile(self::Q));
        $shift = log($belief->rateQuantile(0.5) / $in->prior->rateMedian);
        $precision = 1.0 / $logSd ** 2 - 1.0 / self::VAGUE_LOG_SD ** 2;

        $kms = array_map(fn(ForecastReading $reading) => $reading->km, $in->readings);

        return $precision <= 0.0
            ? new self(0.0, 0.0)
            : new self($shift / $logSd ** 2 / $precision, $precision, count($kms), max($kms) - min($kms));
    }
}
