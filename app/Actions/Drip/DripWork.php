<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Actions\Guided\Tap;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWork;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobTurn;
use Dripel\Core\Logbook\Moment;

/** A guided top-up: with its last coat the chain has its wax, and dries. Given up between two coats, it has had the first. */
final readonly class DripWork implements GuidedWork
{
    /** The steps with whose end a coat is on. */
    private const COATED = ['drops', 'line', 'lift_slowly'];

    public function __construct(private TopUpChain $topUpChain) {}

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
            if ($turn->step === $job->terms['applied_step'] && $turn->answer === JobEventKind::Done) {
                return $this->topUp($by, $job, (int) $turn->endS, (int) $job->terms['coats']);
            }
        }

        return null;
    }

    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        $coats = array_values(
            array_filter(
                $run->turns,
                fn(JobTurn $turn) => $turn->endS !== null && in_array($run->steps[$turn->step]->code, self::COATED, true),
            ),
        );

        return $coats === [] ? null : $this->topUp($by, $job, (int) $coats[count($coats) - 1]->endS, count($coats));
    }

    /** What it really took, as somebody typed it; null: nobody did. */
    private static function typedMl(GuidedJob $job): ?float
    {
        $typed = $job->taps->filter(fn(GuidedTap $tap) => isset($tap->about['ml']))->last();

        return isset($typed->about['ml']) ? (float) $typed->about['ml'] : null;
    }

    private function topUp(ActionContext $by, GuidedJob $job, int $atS, int $coats): ?Action
    {
        $terms = $job->terms;
        $chain = Chain::query()->live()->whereKey($job->chains)->first();
        $bottle = Bottle::query()->in($by->workshop)->live()->whereKey($terms['bottle'])->first();

        // One whose coming was taken back meanwhile is no chain any more.
        return $chain === null
            ? null
            : ($this->topUpChain)(
                $by,
                $chain,
                new DripFacts(
                    (float) $terms['km'],
                    self::typedMl($job) ?? ((float) $terms['ml'] * $coats) / (int) $terms['coats'],
                    $bottle,
                ),
                new Moment($atS),
                stripped: null,
            );
    }
}
