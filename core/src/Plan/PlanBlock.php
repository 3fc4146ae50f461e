<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** The first day on which a bike has no chain for its ride. */
final readonly class PlanBlock
{
    /** @param bool $tooLong whether the ride is longer than the interval, so that it wants a fresh chain */
    public function __construct(public int $day, public string|int $bike, public bool $tooLong) {}
}
