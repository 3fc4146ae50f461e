<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A day on which the pot is heated, before that day's ride. */
final readonly class PlannedPotDay
{
    /** @param list<string|int> $dips the chains, bike by bike */
    public function __construct(public int $day, public int $batches, public array $dips) {}
}
