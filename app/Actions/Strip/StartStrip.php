<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Guided\BeginJob;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Strip\Protocols;

/** The guided job begins. */
final readonly class StartStrip
{
    public function __construct(private PlanStrip $planStrip, private BeginJob $beginJob) {}

    /**
     * Refused as PlanStrip refuses, and with NotPossible at `not_advised` unless a petrol school is agreed to, at `unmeasured` and
     * `fresh_wax`
     * unless that is.
     *
     * @param list<'not_advised'|'unmeasured'|'fresh_wax'> $agreed
     */
    public function __invoke(ActionContext $by, StripChoices $choices, array $agreed): GuidedJob
    {
        return ($this->beginJob)($by, GuidedKind::Strip, function () use ($by, $choices, $agreed): array {
            $draft = ($this->planStrip)($by->workshop, $choices);
            $asked = [...$draft->protocol->advised() ? [] : ['not_advised'], ...array_keys($draft->asks)];
            foreach (array_diff($asked, $agreed) as $ask) {
                throw new NotPossible($ask, $ask === 'not_advised' ? $ask : "strip_{$ask}");
            }

            return [
                'title' => Protocols::nameOf($by->workshop, $choices->protocol) ?? $choices->protocol,
                'steps' => $draft->plan->steps,
                'chains' => array_map(fn(Chain $chain) => $chain->id, $choices->chains),
                'terms' => ['start_g' => $draft->startG, 'bare_step' => $draft->plan->bareStep],
            ];
        });
    }
}
