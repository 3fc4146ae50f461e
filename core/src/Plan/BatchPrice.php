<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/**
 * A way to charge batches that never charges more than they take: each pot day pays for one, or each dip for its share of one. The one
 * is right for pot days that fill no batch, the other for those that fill many.
 */
final readonly class BatchPrice
{
    /** @param float $share of each dip, on top of what it takes */
    private function __construct(public float $potMinutes, public float $share) {}

    /** @return non-empty-list<self> */
    public static function all(PotDaysInput $in): array
    {
        $onePerPot = new self($in->fixedMinutes + $in->batchMinutes, 0.0);

        return self::counted($in) ? [$onePerPot, new self($in->fixedMinutes, $in->batchMinutes / ($in->potCapacity ?? 1))] : [$onePerPot];
    }

    /** Whether it makes a difference how many chains a pot day dips. */
    public static function counted(PotDaysInput $in): bool
    {
        return $in->potCapacity !== null && $in->batchMinutes > 0.0;
    }
}
