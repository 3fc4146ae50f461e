<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Exceptions\NotPossible;
use App\Guided\BeginJob;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use App\Text\Names;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\PotDay\PotWarning;

/** A pot day begins, or is put down for later and begins when somebody is there. Sent twice, it is there once. */
final readonly class StartPotDay
{
    public function __construct(
        private BeginJob $beginJob,
        private PlanPotDay $planPotDay,
        private ReadBook $readBook,
        private AppClock $clock,
    ) {}

    /** Refused as PlanPotDay refuses, and with NotPossible at `pot` where it would be dangerous or in vain, or the pot is in use. */
    public function __invoke(ActionContext $by, PotDayChoices $choices, bool $later): GuidedJob
    {
        return ($this->beginJob)($by, GuidedKind::PotDay, function () use ($by, $choices, $later): array {
            $later || $this->expectPotFree($by->workshop, $choices->potId);
            $planned = $this->planned($by->workshop, $choices);

            return $planned['job'] + ($later ? ['later_s' => max($this->clock->unixS(), $planned['start'])] : []);
        });
    }

    /** One that was put down for later is planned anew with what is true now, and begins. Begun already, it stays as it is. */
    public function begin(GuidedJob $seen): GuidedJob
    {
        return WriteTransaction::run(function () use ($seen): GuidedJob {
            $job = $seen->refresh();
            if ($job->begun_at !== null || $job->ended_at !== null) {
                return $job;
            }
            $workshop = Workshop::query()->findOrFail($job->workshop_id);
            $this->expectPotFree($workshop, PotDayJob::choices($job)->potId);
            $nowS = $this->clock->unixS();
            $plan = $this->planned($workshop, PotDayJob::choices($job))['job'];
            $steps = array_map(fn(JobStep $step) => $step->toArray(), $plan['steps']);
            $job->fill(['steps' => $steps, 'started_at' => $nowS, 'begun_at' => $nowS] + $plan)->save();
            Workshop::query()->whereKey($workshop->id)->increment('revision');

            return $job;
        });
    }

    /** @return array{start: int, job: array{steps: list<JobStep>, chains: list<int>, terms: array<string, mixed>}} */
    private function planned(Workshop $workshop, PotDayChoices $choices): array
    {
        $proposal = ($this->planPotDay)($workshop, $choices);
        $plan = $proposal->plan;
        $forbidding = array_values(array_filter($plan->warnings, fn(PotWarning $warning) => $warning->forbids()));
        $forbidding === [] || throw new NotPossible('pot', "pot_day.{$forbidding[0]->value}");

        return [
            'start' => $proposal->startS,
            'job' => [
                'steps' => $plan->steps,
                'chains' => $choices->chainIds,
                'terms' => [
                    'wish' => $choices->toArray(),
                    'day' => $plan->terms->toArray(),
                    'masses' => $plan->massesG,
                    'record_step' => $plan->recordStep,
                ],
            ],
        ];
    }

    private function expectPotFree(Workshop $workshop, int $potId): void
    {
        foreach (GuidedJob::query()->in($workshop)->open()->whereNotNull('begun_at')->get() as $job) {
            $job->kind === GuidedKind::PotDay &&
                PotDayJob::choices($job)->potId === $potId &&
                throw new NotPossible('pot', 'pot_day.in_use', ['pot' => (new Names($this->readBook->settings($workshop)))->pot($potId)]);
        }
    }
}
