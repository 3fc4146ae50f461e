<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Before the ride of a day another chain goes on. */
final readonly class PlannedSwap
{
    public function __construct(public int $day, public string|int $bike, public string|int $from, public string|int $to) {}
}
