<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\WorkshopPlan;

/** A ride that no chain can take, whatever is done, with its day of the plan. */
final readonly class RideOfPlan
{
    public function __construct(public LaneDay $day, public string $date, public WorkshopPlan $plan) {}
}
