<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Something that was done several times, and the minutes that it took. */
final readonly class OftenDone
{
    private function __construct(
        public int $times,
        public float $meanMinutes,
        /** Of the shortest. */
        public float $leastMinutes,
        /** Of the longest. */
        public float $mostMinutes,
    ) {}

    /** @param list<float> $minutes of each; null where it was never done */
    public static function of(array $minutes): ?self
    {
        return $minutes === [] ? null : new self(count($minutes), array_sum($minutes) / count($minutes), min($minutes), max($minutes));
    }
}
