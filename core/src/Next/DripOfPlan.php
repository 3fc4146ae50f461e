<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlannedDrip;
use Dripel\Core\Plan\WorkshopPlan;

/** A top-up, with the plan that says so. */
final readonly class DripOfPlan
{
    public function __construct(public PlannedDrip $drip, public WorkshopPlan $plan) {}
}
