<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Oiling;
use Dripel\Core\Logbook\Moment;

/** Oil got on a chain: wet lube from a shop, a hand, a spray. */
final readonly class ReportOil
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Chain $chain, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::ReportOil, function (Draft $draft) use ($chain, $at): About {
            $draft->enter(Oiling::class, $at, ['component_id' => $chain->id]);

            return new About(chain: $chain->id, at: $at->unixS);
        });
    }
}
