<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What was learned of one condition, beside what is set for it now. */
final readonly class LearnedCondition
{
    /** Nobody rides to the hundredth: a factor is set in tenths. */
    private const LEAST = 0.1;

    public function __construct(
        public Condition $condition,
        public LearnedFactor $learned,
        public float $now,
        /** Whether its band is narrow enough to go by. */
        public bool $settled,
        /** How many more dry sounds would probably settle it; null: it is settled, or nothing was learned of it yet. */
        public ?int $moreNoises,
        /** The factor that somebody declined; null: none. */
        public ?float $declined = null,
    ) {}

    /** The learned factor as it would be set. */
    public function factor(): float
    {
        return max(self::LEAST, round($this->learned->factor, 1));
    }

    /** Whether it is worth saying: sure enough, another one than is set, and not declined. */
    public function offered(): bool
    {
        return $this->settled && !$this->isSame($this->now) && !$this->isDeclined();
    }

    /** Whether somebody declined it as it is now. */
    public function isDeclined(): bool
    {
        return $this->declined !== null && $this->isSame($this->declined);
    }

    private function isSame(float $factor): bool
    {
        return abs($this->factor() - $factor) < self::LEAST / 2;
    }
}
