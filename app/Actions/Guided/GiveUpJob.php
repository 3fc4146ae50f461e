<?php

declare(strict_types=1);

namespace App\Actions\Guided;

use App\Exceptions\NotPossible;
use App\Guided\GuidedWorks;
use App\Logbook\ActionContext;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;

/** A guided job ends before its last step. What was really done is recorded. */
final readonly class GiveUpJob
{
    public function __construct(private GuidedWorks $works, private AppClock $clock) {}

    /** Refused with NotPossible at `job` if it is over. */
    public function __invoke(ActionContext $by, GuidedJob $seen): GuidedJob
    {
        return WriteTransaction::run(function () use ($by, $seen): GuidedJob {
            $job = $seen->refresh();
            $job->ended_at === null || throw new NotPossible('job', 'job_over');
            $job->action_id ??= $this->works->of($job)->recordSoFar($by, $job, $job->run())?->id;
            Workshop::query()->whereKey($job->workshop_id)->increment('revision');
            $job->ended_at = $this->clock->unixS();
            $job->save();

            return $job;
        });
    }
}
