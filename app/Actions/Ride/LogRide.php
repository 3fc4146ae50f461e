<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Noise;
use App\Models\Ride;
use App\Models\Track;
use Dripel\Core\Logbook\Precision;

/** A ride is logged, by hand or from a track that was looked at; perhaps the chain got loud on it. */
final readonly class LogRide
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `loud` if it got loud and nobody says which bike it was. */
    public function __invoke(ActionContext $by, RideFacts $facts, ?Track $track = null, bool $loud = false): Action
    {
        return $this->ledger->record($by, ActionKind::LogRide, function (Draft $draft) use ($by, $facts, $track, $loud): About {
            $early = $this->early($by, $facts);
            $ride = $draft->enter(Ride::class, $facts->at, $facts->columns() + ($track?->kept() ?? []));
            if ($loud) {
                $bike = $facts->bike ?? throw new NotPossible('loud', 'bike_first');
                $draft->enter(Noise::class, $facts->at, ['bike_id' => $bike->id]);
            }
            $track?->delete();

            return $facts->about(ride: $ride->id, loud: $loud, early: $early);
        });
    }

    /** Whether the chain was ridden before its wax had set or its drip wax was dry: by its coats, whatever it was ridden. */
    private function early(ActionContext $by, RideFacts $facts): bool
    {
        if ($facts->bike === null || $facts->at->precision === Precision::Day) {
            return false;
        }
        $book = $this->readBook->withoutRides($by->workshop);
        $chainId = $book->fittings()->componentOn($facts->bike->id, $facts->at->unixS);

        return $chainId !== null && $book->chain($chainId, $facts->at->unixS)->readyAtS !== null;
    }
}
