<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Exceptions\NotPossible;
use App\Guided\GuidedKind;
use App\Guided\OpenJobs;
use App\Logbook\ActionContext;
use App\Logbook\DryRun;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use App\Text\Names;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Moment;
use Illuminate\Support\Str;

/** The guided swap begins. Its id comes from the form: sent twice, it begins once. */
final readonly class StartFit
{
    public function __construct(
        private PlanFit $planFit,
        private FitChain $fitChain,
        private OpenJobs $openJobs,
        private ReadBook $readBook,
        private DryRun $dryRun,
        private AppClock $clock,
    ) {}

    /** Refused as FitChain refuses, before a hand is dirty, and with NotPossible at `chain_id` for a chain in another job. */
    public function __invoke(ActionContext $by, Bike $bike, ?Chain $chain, FitTerms $terms): GuidedJob
    {
        $begun = GuidedJob::query()->in($by->workshop)->find($by->actionId);
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

        return WriteTransaction::run(function () use ($by, $bike, $chain, $terms, $nowS): GuidedJob {
            $plan = ($this->planFit)($by->workshop, $bike, $chain);
            $off = ($this->readBook)($by->workshop)->fittings->componentOn($bike->id, $nowS);
            Workshop::query()->whereKey($by->workshop->id)->increment('revision');
            $by->workshop->refresh();

            return GuidedJob::query()->create([
                'id' => $by->actionId,
                'workshop_id' => $by->workshop->id,
                'user_id' => $by->user?->id,
                'kind' => GuidedKind::Fit,
                'title' => '',
                'steps' => array_map(fn(JobStep $step) => $step->toArray(), $plan->steps),
                'chains' => array_filter([$chain->id ?? $off]),
                'terms' => ['bike' => $bike->id, 'chain' => $chain?->id, 'done_step' => $plan->doneStep, 'fit' => $terms->toArray()],
                'started_at' => $nowS,
                'begun_at' => $nowS,
            ]);
        });
    }
}
