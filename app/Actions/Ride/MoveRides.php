<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Ride;

/** Rides were on another bike than was thought, or nobody had said which. */
final readonly class MoveRides
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with VersionMoved if somebody changed one of them since.
     *
     * @param non-empty-list<Ride> $seen
     */
    public function __invoke(ActionContext $by, array $seen, Bike $to): Action
    {
        return $this->ledger->record($by, ActionKind::MoveRides, function (Draft $draft) use ($seen, $to): About {
            $from = [];
            foreach ($seen as $ride) {
                $ride->refresh();
                $ride->voided_by === null || throw VersionMoved::of($ride, ['bike' => $to->id]);
                $from[] = $ride->bike_id;
                $draft->replace($ride, ['bike_id' => $to->id]);
            }
            $from = array_values(array_unique(array_filter($from)));

            return new About(
                bike: $to->id,
                bikes: $from,
                rides: count($seen),
                km: array_sum(array_map(fn(Ride $ride) => $ride->km, $seen)),
                at: $seen[0]->at,
                day: $seen[0]->precision->value,
            );
        });
    }
}
