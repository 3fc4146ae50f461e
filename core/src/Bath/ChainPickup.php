<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Logbook\Dip;

/**
 * What one chain takes along in a dip, as it was weighed: the mean of its last eight weighings, from three on. House rules.
 */
final readonly class ChainPickup
{
    private const LAST = 8;

    private const LEAST = 3;

    /** @param float $leastG the lightest of those that it was learned from */
    private function __construct(public float $meanG, public float $leastG, public float $mostG, public int $weighings) {}

    /**
     * @param list<Dip> $dips in order of time
     *
     * @return array<int, self> by chain, those that were weighed often enough
     */
    public static function ofDips(array $dips): array
    {
        $weighedG = [];
        foreach ($dips as $dip) {
            $dip->pickupG === null || ($weighedG[$dip->chainId][] = $dip->pickupG);
        }

        return array_filter(array_map(self::of(...), $weighedG));
    }

    /** @param list<float> $weighedG in order of time */
    private static function of(array $weighedG): ?self
    {
        $last = array_slice($weighedG, -self::LAST);

        return count($last) < self::LEAST || array_sum($last) <= 0.0
            ? null
            : new self(array_sum($last) / count($last), min($last), max($last), count($last));
    }
}
