<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Guided\JobRun;

/** The minutes that a guided strip kept somebody, as its taps tell, and how many chains went through its jars together. */
final readonly class WorkedStrip
{
    private function __construct(public float $minutes, public int $chains) {}

    /**
     * Null where it was given up before the steel was bare.
     *
     * @param int $bareStep the step with which its last bath is over
     */
    public static function of(JobRun $run, int $bareStep, int $chains): ?self
    {
        return $run->endedS($bareStep) === null ? null : new self(WorkedDay::through($run, count($run->steps)), max(1, $chains));
    }
}
