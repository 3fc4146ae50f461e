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
use App\Models\Ride;

/** A ride is put right: a new version takes the place of the one that was seen. */
final readonly class EditRide
{
    public function __construct(private Ledger $ledger) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(ActionContext $by, Ride $seen, RideFacts $facts): Action
    {
        return $this->ledger->record($by, ActionKind::EditRide, function (Draft $draft) use ($seen, $facts): About {
            $ride = $seen->refresh();
            $ride->voided_by === null || throw VersionMoved::of($ride, $facts->about()->toArray());
            $version = $draft->replace($ride, $facts->columns());

            return $facts->about(
                ride: $version->id,
                was: ['km' => $ride->km, 'bike' => $ride->bike_id, 'condition' => $ride->condition->value],
            );
        });
    }
}
