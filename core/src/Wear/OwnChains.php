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
    /** With fewer nothing is said, the chain itself being one more: house rule. */
    public const FEWEST = 2;

    /** Fewer show nothing of how they scatter. */
    private const SCATTER = 3;

    /** Of the spread of a prior, what is common to all chains of a rider, as a standard deviation in the logarithm: house rule. */
    private const SHARED_LOG_SD = 0.5;

    private const STEP = 0.05;

    private function __construct(public int $chains, public float $logFactor, public float $logSd) {}

    /** @param list<ChainRate> $rates */
    public static function of(array $rates): self
    {
        $rates = array_values(array_filter($rates, fn(ChainRate $rate) => $rate->counts()));
        $apart = self::apart($rates);
        [$precision, $sum] = [1.0 / self::SHARED_LOG_SD ** 2, 0.0];
        foreach ($rates as $rate) {
            $weight = 1.0 / ($apart + 1.0 / $rate->precision);
            [$precision, $sum] = [$precision + $weight, $sum + $weight * $rate->logFactor];
        }

        return new self(count($rates), $sum / $precision, sqrt(1.0 / $precision + $apart));
    }

    /**
     * The variance from chain to chain: what the house rule leaves for it, or more where these differ more than their readings
     * explain. By moments.
     *
     * @param list<ChainRate> $rates
     */
    private static function apart(array $rates): float
    {
        $house = WearPrior::RATE_LOG_SD ** 2 - self::SHARED_LOG_SD ** 2;
        $n = count($rates);
        if ($n < self::SCATTER) {
            return $house;
        }
        $mean = array_sum(array_map(fn(ChainRate $rate) => $rate->logFactor, $rates)) / $n;
        $seen = array_sum(array_map(fn(ChainRate $rate) => ($rate->logFactor - $mean) ** 2, $rates)) / ($n - 1);
        $explained = array_sum(array_map(fn(ChainRate $rate) => 1.0 / $rate->precision, $rates)) / $n;

        return max($house, $seen - $explained);
    }

    /** Whether there are enough of them to be listened to. */
    public function enough(): bool
    {
        return $this->chains >= self::FEWEST;
    }

    /** How many times faster than expected they wear: the middle of what is believed. */
    public function factor(): float
    {
        return exp($this->logFactor);
    }

    /**
     * The house rule, moved by them and as wide as they leave it; as it was while they are too few. Rounded to steps of a twentieth
     * in the logarithm: no more is known, and what follows from it stays the same while little changes.
     */
    public function sharpen(WearPrior $house): WearPrior
    {
        $round = fn(float $log): float => round($log / self::STEP) * self::STEP;

        return $this->enough()
            ? new WearPrior(
                $house->rateMedian * exp($round($this->logFactor)),
                $round($this->logSd),
                $house->initialMean,
                $house->initialSd,
            )
            : $house;
    }
}
