<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use App\Models\PlannedRide;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;

/** A ride is meant, or days on which nothing is ridden. */
final readonly class PlanRide
{
    public function __construct(private Ledger $ledger) {}

    /** @param float $km 0: nothing is ridden */
    public function __invoke(
        ActionContext $by,
        ?Bike $bike,
        string $from,
        string $until,
        float $km,
        ?Condition $condition,
        string $name,
        Moment $at,
    ): Action {
        return $this->ledger->record($by, ActionKind::PlanRide, function (Draft $draft) use (
            $bike,
            $from,
            $until,
            $km,
            $condition,
            $name,
            $at,
        ): About {
            $draft->enter(PlannedRide::class, $at, [
                'bike_id' => $bike?->id,
                'from_date' => $from,
                'until_date' => $until,
                'km' => $km,
                'condition' => $condition,
                'name' => $name === '' ? null : $name,
            ]);

            return new About(bike: $bike?->id, km: $km, from: $from, to: $until, name: $name, holiday: $km <= 0.0);
        });
    }
}
