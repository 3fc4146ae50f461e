<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Dip;
use Dripel\Core\Logbook\Moment;

/** Chains have been waxed together. */
final readonly class DipChains
{
    public function __construct(private Ledger $ledger) {}

    /** @param non-empty-list<Chain> $chains */
    public function __invoke(ActionContext $by, array $chains, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::DipChains, function (Draft $draft) use ($chains, $at): array {
            foreach ($chains as $chain) {
                $draft->enter(Dip::class, $at, ['component_id' => $chain->id]);
            }

            return ['chains' => array_map(fn(Chain $chain) => $chain->id, $chains), 'at' => $at->unixS];
        });
    }
}
