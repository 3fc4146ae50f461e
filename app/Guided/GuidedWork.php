<?php

declare(strict_types=1);

namespace App\Guided;

use App\Actions\Guided\Tap;
use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobRun;

/** What a kind of guided job leads to, beyond its steps. */
interface GuidedWork
{
    /** Whether a measurement says what the step under way would have ticked. */
    public function measured(GuidedJob $job, JobRun $run, int $atS): bool;

    /** Why the step under way cannot be done at an instant, whoever says that it is; null: it can. */
    public function impossible(GuidedJob $job, JobRun $run, int $atS): ?NotPossible;

    /** After taps were taken: what was noted, while the job goes on. */
    public function noted(GuidedJob $job, Tap $tap): void;

    /** What has to be recorded, if the job has come so far and nothing is recorded yet. */
    public function record(ActionContext $by, GuidedJob $job, JobRun $run): ?Action;

    /** What was really done by a job that is given up; null if nothing was. */
    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action;
}
