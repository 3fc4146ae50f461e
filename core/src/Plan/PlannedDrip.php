<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A top-up for the ride of a day; the work is done the evening before. */
final readonly class PlannedDrip
{
    public function __construct(public int $day, public string|int $bike, public string|int $chain) {}
}
