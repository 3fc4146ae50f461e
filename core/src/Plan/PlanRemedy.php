<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A way out, and the plan with it; that may still break, only later. */
final readonly class PlanRemedy
{
    public function __construct(public PlanRemedyKind $kind, public PotDaysResult $plan) {}
}
