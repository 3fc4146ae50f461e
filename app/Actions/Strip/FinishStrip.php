<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Strip;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Moment;

/** The last bath of a guided strip has ended: its chains are bare from then on, and the jars have done their work. */
final readonly class FinishStrip
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, GuidedJob $job, JobRun $run, int $bareS): Action
    {
        return $this->ledger->record($by, ActionKind::FinishStrip, function (Draft $draft) use ($job, $run, $bareS): About {
            // One whose coming was taken back meanwhile is no chain any more.
            foreach (Chain::query()->live()->whereKey($job->chains)->pluck('id') as $chainId) {
                $draft->enter(Strip::class, new Moment($bareS), ['component_id' => $chainId]);
            }

            return new About(chains: $job->chains, at: $bareS, school: $job->title, baths: RecordBaths::of($draft, $job, $run));
        });
    }
}
