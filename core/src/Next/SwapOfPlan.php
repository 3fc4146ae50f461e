<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\WorkshopPlan;

/** A swap, with the day of the plan that asks for it. */
final readonly class SwapOfPlan
{
    public function __construct(
        public LaneDay $day,
        public string $date,
        /** Whether the chain that goes on comes out of the pot before. */
        public bool $fresh,
        public WorkshopPlan $plan,
        /** Whether it is for this evening and a ride is still expected today: done before it, the other chain would take that ride. */
        public bool $afterRide,
    ) {}
}
