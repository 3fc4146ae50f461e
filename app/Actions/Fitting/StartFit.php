<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Exceptions\NotPossible;
use App\Guided\BeginJob;
use App\Guided\GuidedKind;
use App\Guided\OpenJobs;
use App\Logbook\ActionContext;
use App\Logbook\DryRun;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Support\AppClock;
use App\Text\Names;
use Dripel\Core\Fit\FitFacts;
use Dripel\Core\Fit\FitPlan;
use Dripel\Core\Logbook\Moment;
use Illuminate\Support\Str;

/** The guided swap begins. */
final readonly class StartFit
{
    public function __construct(
        private BeginJob $beginJob,
        private FitChain $fitChain,
        private OpenJobs $openJobs,
        private ReadBook $readBook,
        private DryRun $dryRun,
        private AppClock $clock,
    ) {}

    /** Refused as FitChain refuses, before a hand is dirty, and with NotPossible at `chain_id` for a chain in another job. */
    public function __invoke(ActionContext $by, Bike $bike, ?Chain $chain, FitTerms $terms): GuidedJob
    {
        $begun = $this->beginJob->begun($by);
        if ($begun !== null) {
            return $begun;
        }
        if ($chain !== null && isset($this->openJobs->byChain($by->workshop)[$chain->id])) {
            $names = new Names($this->readBook->settings($by->workshop));
            throw new NotPossible('chain_id', 'chain_in_job', ['chain' => $names->fullChain($chain->id)]);
        }
        $nowS = $this->clock->unixS();
        $try = new ActionContext($by->workshop, $by->user, (string) Str::uuid());
        $this->dryRun->changes($by->workshop, fn() => ($this->fitChain)($try, $bike, $chain, new Moment($nowS), $terms));

        return ($this->beginJob)($by, GuidedKind::Fit, function () use ($by, $bike, $chain, $terms, $nowS): array {
            $book = ($this->readBook)($by->workshop);
            $plan = FitPlan::of(FitFacts::of($book, $bike->id, $chain?->id, $nowS));
            $about = $chain->id ?? $book->fittings()->componentOn($bike->id, $nowS);

            return [
                'steps' => $plan->steps,
                'chains' => $about === null ? [] : [$about],
                'terms' => ['bike' => $bike->id, 'chain' => $chain?->id, 'done_step' => $plan->doneStep, 'fit' => $terms->toArray()],
            ];
        });
    }
}
