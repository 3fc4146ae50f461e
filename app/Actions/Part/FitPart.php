<?php

declare(strict_types=1);

namespace App\Actions\Part;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Fitting;
use App\Models\Part;
use Dripel\Core\Logbook\Moment;

/** A wheel with another cassette, or a part from the drawer, goes onto a bike; what was there comes off and is kept. */
final readonly class FitPart
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `part` if it is there already, out of use, or goes with a chain. */
    public function __invoke(ActionContext $by, Part $part, Bike $bike, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::FitPart, function (Draft $draft) use ($by, $part, $bike, $at): About {
            $book = $this->readBook->withoutRides($by->workshop);
            $state = $book->inventory()->part($part->id, $at->unixS);
            $slot = $state->part->slot() ?? throw new NotPossible('part', 'part_of_chain');
            $state->retiredS === null || throw new NotPossible('part', 'part_retired');
            $state->bikeId !== $bike->id || throw new NotPossible('part', 'part_on');
            $state->bikeId === null ||
                $draft->enter(Fitting::class, $at, ['bike_id' => $state->bikeId, 'component_id' => null, 'slot' => $slot]);
            $before = $book->fittingsOf($slot)->componentOn($bike->id, $at->unixS);
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $part->id, 'slot' => $slot]);

            return new About(part: $part->id, bike: $bike->id, before: $before, at: $at->unixS);
        });
    }
}
