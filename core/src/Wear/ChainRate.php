<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

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

    public function __construct(public float $logFactor, public float $precision) {}

    /** Precision 0 where the readings say nothing of the rate. */
    public static function of(WearForecastInput $in): self
    {
        if ($in->prior === null || $in->readings === []) {
            return new self(0.0, 0.0);
        }
        $belief = WearForecast::belief($in->expecting(new WearPrior($in->prior->rateMedian, self::VAGUE_LOG_SD, $in->prior->initialMean, $in->prior->initialSd)));
        $logSd = log($belief->rateQuantile(self::Q) / $belief->rateQuantile(1.0 - self::Q)) / (2.0 * Normal::quantile(self::Q));
        $shift = log($belief->rateQuantile(0.5) / $in->prior->rateMedian);
        $precision = 1.0 / $logSd ** 2 - 1.0 / self::VAGUE_LOG_SD ** 2;

        return $precision <= 0.0 ? new self(0.0, 0.0) : new self($shift / $logSd ** 2 / $precision, $precision);
    }
}
