<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlanRemedy;
use Dripel\Core\Plan\WorkshopPlan;

/** What would help where the plan cannot meet something. */
final readonly class WayOut
{
    public function __construct(public PlanRemedy $remedy, public WorkshopPlan $plan) {}
}
