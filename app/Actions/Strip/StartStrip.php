<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Strip\Protocols;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Guided\JobStep;

/** The guided job begins. Its id comes from the form: sent twice, it begins once. */
final readonly class StartStrip
{
    public function __construct(private PlanStrip $planStrip, private AppClock $clock) {}

    /**
     * Refused as PlanStrip refuses, and with NotPossible at `not_advised` unless a petrol school is agreed to, at `unmeasured` and
     * `fresh_wax`
     * unless that is.
     *
     * @param list<'not_advised'|'unmeasured'|'fresh_wax'> $agreed
     */
    public function __invoke(ActionContext $by, StripChoices $choices, array $agreed): GuidedJob
    {
        return WriteTransaction::run(function () use ($by, $choices, $agreed): GuidedJob {
            $begun = GuidedJob::query()->in($by->workshop)->find($by->actionId);
            if ($begun !== null) {
                return $begun;
            }
            $draft = ($this->planStrip)($by->workshop, $choices);
            $asked = [...$draft->protocol->advised() ? [] : ['not_advised'], ...array_keys($draft->asks)];
            foreach (array_diff($asked, $agreed) as $ask) {
                throw new NotPossible($ask, $ask === 'not_advised' ? $ask : "strip_{$ask}");
            }
            Workshop::query()->whereKey($by->workshop->id)->increment('revision');
            $by->workshop->refresh();

            return GuidedJob::query()->create([
                'id' => $by->actionId,
                'workshop_id' => $by->workshop->id,
                'user_id' => $by->user?->id,
                'kind' => GuidedKind::Strip,
                'title' => Protocols::nameOf($by->workshop, $choices->protocol) ?? $choices->protocol,
                'steps' => array_map(fn(JobStep $step) => $step->toArray(), $draft->plan->steps),
                'chains' => array_map(fn(Chain $chain) => $chain->id, $choices->chains),
                'terms' => ['start_g' => $draft->startG, 'bare_step' => $draft->plan->bareStep],
                'started_at' => ($nowS = $this->clock->unixS()),
                'begun_at' => $nowS,
            ]);
        });
    }
}
