<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\WorkshopPlan;

/** A pot day, with the plan that says so. */
final readonly class PotOfPlan
{
    public function __construct(public PlannedPotDay $pot, public WorkshopPlan $plan) {}
}
