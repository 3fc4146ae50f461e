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
use App\Models\Strip;
use Dripel\Core\Logbook\Moment;

/** A chain has been taken to bare metal; the moment is the end of its last bath. */
final readonly class StripChain
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Chain $chain, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::StripChain, function (Draft $draft) use ($chain, $at): About {
            $draft->enter(Strip::class, $at, ['component_id' => $chain->id]);

            return new About(chain: $chain->id, at: $at->unixS);
        });
    }
}
