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
use App\Models\WipeDown;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\WipeDownKind;

/** A chain was dried after the wet, or run through a dry cloth. */
final readonly class WipeDownChain
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Chain $chain, WipeDownKind $care, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::WipeDownChain, function (Draft $draft) use ($chain, $care, $at): About {
            $draft->enter(WipeDown::class, $at, ['component_id' => $chain->id, 'care' => $care]);

            return new About(chain: $chain->id, care: $care->value, at: $at->unixS);
        });
    }
}
