<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Job\JobTurn;
use Dripel\Core\Strip\StripPlan;

/** A guided strip ends before its last bath. The baths it had were had: the jars remember them. */
final readonly class GiveUpStrip
{
    public function __construct(private Ledger $ledger, private AppClock $clock) {}

    /** Refused with NotPossible at `job` if it is over. */
    public function __invoke(ActionContext $by, GuidedJob $seen): GuidedJob
    {
        return WriteTransaction::run(function () use ($by, $seen): GuidedJob {
            $job = $seen->refresh();
            $job->ended_at === null || throw new NotPossible('job', 'job_over');
            $run = $job->run();
            $had = array_filter($run->turns, fn(JobTurn $turn) => $turn->endS !== null && in_array($run->steps[$turn->step]->code, StripPlan::ENDS_BATH, true));
            if ($job->action_id === null && $had !== []) {
                $job->action_id = $this->ledger->record($by, ActionKind::GiveUpStrip, fn(Draft $draft) => [
                    'chains' => $job->chains, 'at' => $this->clock->unixS(), 'baths' => RecordBaths::of($draft, $job, $run),
                ])->id;
            } else {
                Workshop::query()->whereKey($job->workshop_id)->increment('revision');
            }
            $job->ended_at = $this->clock->unixS();
            $job->save();

            return $job;
        });
    }
}
