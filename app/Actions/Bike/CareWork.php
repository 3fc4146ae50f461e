<?php

declare(strict_types=1);

namespace App\Actions\Bike;

use App\Actions\Guided\Tap;
use App\Actions\Part\LookAtTeeth;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWork;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Models\Bike;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Moment;

/** A guided clean: once all of it was gone over the drivetrain is brushed clean. */
final readonly class CareWork implements GuidedWork
{
    public function __construct(private BrushDrivetrain $brush, private LookAtTeeth $lookAtTeeth) {}

    public function noted(GuidedJob $job, Tap $tap): void
    {
        $this->lookAtTeeth->noted($job, $tap);
    }

    public function measured(GuidedJob $job, JobRun $run, int $atS): bool
    {
        return false;
    }

    public function impossible(GuidedJob $job, JobRun $run, int $atS): ?NotPossible
    {
        return null;
    }

    public function record(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        $doneS = $run->endedS((int) $job->terms['done_step']);
        $bike = Bike::query()->live()->whereKey($job->terms['bike'])->first();

        return $doneS === null || $bike === null ? null : ($this->brush)($by, $bike, new Moment($doneS));
    }

    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        return $this->record($by, $job, $run);
    }
}
