<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Ride;
use App\Models\Track;

/** Many tracks that were looked at become rides: one action, one undo. */
final readonly class TakeInRides
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with NotPossible at `rides.N` if this very track is in the logbook, or twice among them.
     *
     * @param list<array{Track, RideFacts}> $rides
     */
    public function __invoke(ActionContext $by, array $rides): Action
    {
        return $this->ledger->record($by, ActionKind::TakeInRides, function (Draft $draft) use ($by, $rides): About {
            [$km, $bikes] = [0.0, []];
            foreach ($rides as $n => [$track, $facts]) {
                KeepTrack::logged($by->workshop->id, $track) === null || throw new NotPossible("rides.{$n}", 'same_track_short');
                $draft->enter(Ride::class, $facts->at, $facts->columns() + $track->kept());
                $km += $facts->km;
                $bikes[] = $facts->bike?->id;
            }
            Track::query()->in($by->workshop)->whereKey(array_map(fn(array $ride) => $ride[0]->id, $rides))->delete();

            return new About(bikes: array_values(array_unique(array_filter($bikes))), km: $km, rides: count($rides));
        });
    }
}
