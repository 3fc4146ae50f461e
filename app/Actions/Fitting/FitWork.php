<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Actions\Guided\Tap;
use App\Actions\Part\LookAtTeeth;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWork;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Moment;

/** A guided swap: once the chain that goes on has passed its test it is on. Given up in between, the one that came off is off. */
final readonly class FitWork implements GuidedWork
{
    private const OFF = ['hang_off', 'hang_off_link'];

    public function __construct(private FitChain $fitChain, private LookAtTeeth $lookAtTeeth) {}

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

        return $doneS === null ? null : $this->fit($by, $job, $job->terms['chain'], $doneS, FitTerms::fromArray($job->terms['fit']));
    }

    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        $tested = $off = null;
        foreach ($run->turns as $turn) {
            $code = $run->steps[$turn->step]->code;
            $done = $turn->answer === JobEventKind::Done ? $turn->endS : null;
            $tested = $code === 'load_test' ? $done ?? $tested : $tested;
            $off = in_array($code, self::OFF, true) ? $done ?? $off : $off;
        }
        $terms = FitTerms::fromArray($job->terms['fit']);

        return match (true) {
            $tested !== null => $this->fit($by, $job, $job->terms['chain'], $tested, $terms),
            $off !== null => $this->fit($by, $job, null, $off, new FitTerms(measured: $terms->measured)),
            default => null,
        };
    }

    private function fit(ActionContext $by, GuidedJob $job, ?int $chainId, int $atS, FitTerms $terms): ?Action
    {
        $bike = Bike::query()->live()->whereKey($job->terms['bike'])->first();
        $chain = $chainId === null ? null : Chain::query()->live()->whereKey($chainId)->first();

        // What was taken back meanwhile is no bike or chain any more.
        return $bike === null || ($chainId !== null && $chain === null)
            ? null
            : ($this->fitChain)($by, $bike, $chain, new Moment($atS), $terms);
    }
}
