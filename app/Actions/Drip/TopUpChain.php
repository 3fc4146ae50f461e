<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\TopUp;
use Dripel\Core\Logbook\Moment;

/** Drip wax has been put on a chain; it is good for so many km. */
final readonly class TopUpChain
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Chain $chain, DripFacts $facts, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::TopUpChain, function (Draft $draft) use ($chain, $facts, $at): About {
            $draft->enter(TopUp::class, $at, ['component_id' => $chain->id] + $facts->columns());

            return new About(chain: $chain->id, km: $facts->km, ml: $facts->ml, bottle: $facts->bottle?->id, at: $at->unixS);
        });
    }
}
