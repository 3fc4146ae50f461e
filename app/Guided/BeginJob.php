<?php

declare(strict_types=1);

namespace App\Guided;

use App\Logbook\ActionContext;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Closure;
use Dripel\Core\Guided\JobStep;

/** A guided job begins. Its id comes from the form: sent twice, it begins once. */
final readonly class BeginJob
{
    public function __construct(private AppClock $clock) {}

    public function begun(ActionContext $by): ?GuidedJob
    {
        return GuidedJob::query()->in($by->workshop)->find($by->actionId);
    }

    /** @param Closure(): array{title?: string, steps: list<JobStep>, chains: list<int>, terms: array<string, mixed>, later_s?: int} $plan asked once nobody has begun it yet; `later_s` where it is put down for later */
    public function __invoke(ActionContext $by, GuidedKind $kind, Closure $plan): GuidedJob
    {
        return WriteTransaction::run(fn(): GuidedJob => $this->begun($by) ?? $this->begin($by, $kind, $plan()));
    }

    /** @param array{title?: string, steps: list<JobStep>, chains: list<int>, terms: array<string, mixed>, later_s?: int} $plan */
    private function begin(ActionContext $by, GuidedKind $kind, array $plan): GuidedJob
    {
        Workshop::query()->whereKey($by->workshop->id)->increment('revision');
        $by->workshop->refresh();
        $nowS = $this->clock->unixS();
        $laterS = $plan['later_s'] ?? null;

        return GuidedJob::query()->create([
            'id' => $by->actionId,
            'workshop_id' => $by->workshop->id,
            'user_id' => $by->user?->id,
            'kind' => $kind,
            'title' => $plan['title'] ?? '',
            'steps' => array_map(fn(JobStep $step) => $step->toArray(), $plan['steps']),
            'chains' => $plan['chains'],
            'terms' => $plan['terms'],
            'started_at' => $laterS ?? $nowS,
            'begun_at' => $laterS === null ? $nowS : null,
        ]);
    }
}
