<?php

declare(strict_types=1);

namespace App\Actions\CatchUp;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Estimate;
use Dripel\Core\Logbook\Estimate as CoreEstimate;
use Dripel\Core\Logbook\Moment;

/** What a bike was ridden over some days that nobody logged one by one. */
final readonly class EstimateDistance
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `from` if every day of it is known already, at `distance` if more than that is logged. */
    public function __invoke(ActionContext $by, CoreEstimate $estimate): Action
    {
        return $this->ledger->record($by, ActionKind::EstimateDistance, function (Draft $draft) use ($by, $estimate): array {
            $share = ($this->readBook)($by->workshop)->reckon($estimate);
            if ($estimate->km > 0 && $share->dates === []) {
                throw new NotPossible('from', 'no_free_day');
            }
            if ($estimate->km > 0 && $share->kmEach <= 0.0) {
                throw new NotPossible('distance', 'more_is_logged', ['km' => (string) round($share->knownKm)]);
            }
            $draft->enter(Estimate::class, new Moment($estimate->moment->unixS), [
                'bike_id' => $estimate->bikeId, 'from_at' => $estimate->fromS, 'from_date' => $estimate->fromDate, 'to_date' => $estimate->toDate,
                'km' => $estimate->km, 'condition' => $estimate->condition, 'odometer_km' => $estimate->odometerKm,
            ]);

            return [
                'bike' => $estimate->bikeId, 'km' => $estimate->km, 'from' => $estimate->fromDate, 'to' => $estimate->toDate,
                'days' => count($share->dates), 'each' => $share->kmEach, 'odometer' => $estimate->odometerKm,
            ];
        });
    }
}
