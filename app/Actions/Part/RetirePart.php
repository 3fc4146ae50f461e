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
use App\Models\Fitting;
use App\Models\Part;
use App\Models\Retirement;
use Dripel\Core\Logbook\Moment;

/** A cassette, chainring or pair of jockey wheels is worn out. If it is on a bike it comes off. */
final readonly class RetirePart
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `part` if it is out of use already, or goes with a chain. */
    public function __invoke(ActionContext $by, Part $part, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::RetirePart, function (Draft $draft) use ($by, $part, $at): About {
            $state = $this->readBook->withoutRides($by->workshop)->inventory()->part($part->id, $at->unixS);
            $slot = $state->part->slot() ?? throw new NotPossible('part', 'part_of_chain');
            $state->retiredS === null || throw new NotPossible('part', 'part_retired');
            $state->bikeId === null ||
                $draft->enter(Fitting::class, $at, ['bike_id' => $state->bikeId, 'component_id' => null, 'slot' => $slot]);
            $draft->enter(Retirement::class, $at, ['component_id' => $part->id]);

            return new About(part: $part->id, bike: $state->bikeId, at: $at->unixS);
        });
    }
}
