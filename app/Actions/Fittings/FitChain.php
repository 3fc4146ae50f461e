<?php

declare(strict_types=1);

namespace App\Actions\Fittings;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Fitting;
use Dripel\Core\Logbook\Moment;

/** A chain goes onto a bike in place of the one that was there; without a chain the bike is left bare. */
final readonly class FitChain
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `chain_id` if it is on the bike already. */
    public function __invoke(ActionContext $by, Bike $bike, ?Chain $chain, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::FitChain, function (Draft $draft) use ($by, $bike, $chain, $at): array {
            $off = $this->readBook->withoutRides($by->workshop)->fittings->chainOn($bike->id, $at->unixS);
            if ($off === $chain?->id) {
                throw new NotPossible('chain_id', $chain === null ? 'no_chain_on' : 'already_on');
            }
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $chain?->id]);

            return ['bike' => $bike->id, 'chain' => $chain?->id, 'off' => $off, 'at' => $at->unixS];
        });
    }
}
