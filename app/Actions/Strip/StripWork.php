<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Actions\Guided\Tap;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWork;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Support\AppClock;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobTurn;
use Dripel\Core\Strip\StripPlan;

/** A guided strip: after its last bath the chains are bare. Given up, the baths it had were had: the jars remember them. */
final readonly class StripWork implements GuidedWork
{
    public function __construct(private FinishStrip $finishStrip, private Ledger $ledger, private AppClock $clock) {}

    public function noted(GuidedJob $job, Tap $tap): void {}

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
        foreach ($run->turns as $turn) {
            if ($turn->step === $job->terms['bare_step'] && $turn->answer === JobEventKind::Done) {
                return ($this->finishStrip)($by, $job, $run, (int) $turn->endS);
            }
        }

        return null;
    }

    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        $had = array_filter(
            $run->turns,
            fn(JobTurn $turn) => $turn->endS !== null && in_array($run->steps[$turn->step]->code, StripPlan::ENDS_BATH, true),
        );

        return $had === []
            ? null
            : $this->ledger->record(
                $by,
                ActionKind::GiveUpStrip,
                fn(Draft $draft) => new About(chains: $job->chains, at: $this->clock->unixS(), baths: RecordBaths::of($draft, $job, $run)),
            );
    }
}
