<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

/**
 * One promise, as it was made with what was known that day, and what came of it. In the unit of its kind: days from the one on which it was
 * made (good until, bottle), % of elongation (wear), effective km (week, by ear), a likelihood and whether it came true (plan), minutes
 * (heat), dips (bath).
 */
final readonly class GradedPromise
{
    /** What is said to be about so much is held within this part of it. House rule. */
    private const ABOUT = 0.2;

    public function __construct(
        public PromiseKind $kind,
        /** Unix seconds. */
        public int $madeS,
        public ?int $bikeId,
        public ?int $chainId,
        public bool $kept,
        public float $said,
        /** Of a plan: the day of its first ride without wax, else its days. Null: it did not come to it, or a gauge shows no value. */
        public ?float $came,
        /** How likely it was said to be kept, from 0 to 1; null: nobody said. */
        public ?float $likely = null,
        /** Where it was meant to lie, where it was not said to the point. */
        public ?float $low = null,
        public ?float $high = null,
        /** km ridden between the promise and its end, where they matter. */
        public ?float $km = null,
        /** How far it was broken by, so that promises can be told by it: 0 where it was kept, 1 where it was off by all that was said. */
        public float $off = 0.0,
        public ?int $potId = null,
        public ?int $bottleId = null,
    ) {}

    /**
     * What was said to be about so much.
     *
     * @param float $came what it came to, or has come to so far
     * @param float $least it is never held more closely than within so much
     * @param bool $over whether it came to it at all
     */
    public static function about(
        PromiseKind $kind,
        int $madeS,
        float $said,
        float $came,
        float $least,
        bool $over = true,
        ?int $potId = null,
        ?int $bottleId = null,
    ): self {
        $within = self::within($said, $least);
        $kept = $over && abs($came - $said) <= $within;

        return new self(
            $kind,
            $madeS,
            null,
            null,
            $kept,
            $said,
            $over ? $came : null,
            low: $said - $within,
            high: $said + $within,
            off: $kept ? 0.0 : abs($came - $said) / max($within, $said),
            potId: $potId,
            bottleId: $bottleId,
        );
    }

    /** How far what is about so much may be from it. */
    public static function within(float $said, float $least): float
    {
        return max($least, self::ABOUT * $said);
    }

    public function error(): ?float
    {
        return $this->came === null ? null : $this->came - $this->said;
    }
}
