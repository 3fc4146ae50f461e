<?php

declare(strict_types=1);

namespace App\Guided;

use App\Actions\Guided\Tap;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobRun;

/** What a kind of guided job leads to, beyond its steps. */
interface GuidedWork
{
    /** After taps were taken: what was noted, while the job goes on. */
    public function noted(GuidedJob $job, Tap $tap): void;

    /** What has to be recorded, if the job has come so far and nothing is recorded yet. */
    public function record(ActionContext $by, GuidedJob $job, JobRun $run): ?Action;

    /** What was really done by a job that is given up; null if nothing was. */
    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action;
}
