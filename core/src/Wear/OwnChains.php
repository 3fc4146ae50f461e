<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/**
 * How a rider's own chains wear against what the house rule lets expect of them, and how that sharpens what is expected of
 * another. Two levels, normal in the logarithm of the rate: a factor that all chains of a rider share, and what sets one chain
 * apart from the next. Source: the normal model with two levels of any textbook of Bayesian statistics.
 */
final readonly class OwnChains
{
    /** With fewer nothing is said: house rule. */
    public const FEWEST = 3;

    /** Of the spread of a prior, what is common to all chains of a rider, as a standard deviation in the logarithm: house rule. */
    private const SHARED_LOG_SD = 0.5;

    /** A chain that says less than this of its rate is not counted: it would only repeat the house rule. */
    private const LEAST_PRECISION = 1.0;

    private function __construct(public int $chains, public float $logFactor, public float $logSd) {}

    /** @param list<ChainRate> $rates */
    public static function of(array $rates): self
    {
        $apart = WearPrior::RATE_LOG_SD ** 2 - self::SHARED_LOG_SD ** 2;
        [$chains, $precision, $sum] = [0, 1.0 / self::SHARED_LOG_SD ** 2, 0.0];
        foreach ($rates as $rate) {
            if ($rate->precision >= self::LEAST_PRECISION) {
                $weight = 1.0 / ($apart + 1.0 / $rate->precision);
                [$chains, $precision, $sum] = [$chains + 1, $precision + $weight, $sum + $weight * $rate->logFactor];
            }
        }

        return new self($chains, $sum / $precision, sqrt(1.0 / $precision + $apart));
    }

    /** Whether there are enough of them to be listened to. */
    public function count(): bool
    {
        return $this->chains >= self::FEWEST;
    }

    /** How many times faster than expected they wear: the middle of what is believed. */
    public function factor(): float
    {
        return exp($this->logFactor);
    }

    /** The house rule, moved and narrowed by them; as it was while they are too few. */
    public function sharpen(WearPrior $house): WearPrior
    {
        return $this->count() ? new WearPrior($house->rateMedian * $this->factor(), $this->logSd, $house->initialMean, $house->initialSd) : $house;
    }
}
