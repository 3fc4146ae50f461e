<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** One chain of a planned pot day: why it is dipped, and what it has left until then. */
final readonly class DipReason
{
    public function __construct(
        public int $chainId,
        public DipWhy $why,
        /** Effective km and hours left when it is dipped; null in the measure that its bike does not go by. */
        public ?float $leftKm,
        public ?float $leftHours,
        /** The day of the plan on which it is ridden next; null: not before the next pot. */
        public ?int $riddenOn,
    ) {}

    /** Whether nothing that is left can be counted on. */
    public function due(): bool
    {
        return min($this->leftKm ?? INF, $this->leftHours ?? INF) <= 0.0;
    }

    /** The more pressing first: what has a day, what is ridden beyond what it has, what only goes along; then by the next ride. */
    public static function compare(self $a, self $b): int
    {
        $rank = fn(self $one): int => (int) array_search($one->why, DipWhy::cases(), true);

        return $rank($a) <=> $rank($b) ?: ($a->riddenOn ?? PHP_INT_MAX) <=> ($b->riddenOn ?? PHP_INT_MAX);
    }
}
