<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** What mends a plan: one more pot day, or the bottle. */
final readonly class PlanRepair
{
    public function __construct(public ?int $potDay, public bool $bottle, public PotDaysResult $plan) {}
}
