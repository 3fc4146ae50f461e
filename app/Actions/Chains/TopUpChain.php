<?php

declare(strict_types=1);

namespace App\Actions\Chains;

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

    public function __invoke(ActionContext $by, Chain $chain, float $km, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::TopUpChain, function (Draft $draft) use ($chain, $km, $at): array {
            $draft->enter(TopUp::class, $at, ['component_id' => $chain->id, 'km' => $km]);

            return ['chain' => $chain->id, 'km' => $km, 'at' => $at->unixS];
        });
    }
}
