<?php

declare(strict_types=1);

namespace App\Actions\CatchUp;

use App\Exceptions\NotPossible;
use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Estimate;
use Dripel\Core\Logbook\Estimate as CoreEstimate;
use Dripel\Core\Logbook\EstimateShare;
use Dripel\Core\Logbook\Moment;

/** What a bike was ridden over some days that nobody logged one by one. */
final readonly class EstimateDistance
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `from` if every day of it is known already, at `distance` if more than that is logged. */
    public function __invoke(ActionContext $by, CoreEstimate $estimate): Action
    {
        return $this->ledger->record($by, ActionKind::EstimateDistance, function (Draft $draft) use ($by, $estimate): About {
            $share = $this->share($by, $estimate);
            $draft->enter(Estimate::class, new Moment($estimate->moment->unixS), self::columns($estimate));

            return self::about($estimate, $share);
        });
    }

    /** It was another distance, other days, another condition. Refused as above, or with VersionMoved if somebody changed it since. */
    public function change(ActionContext $by, Estimate $seen, CoreEstimate $estimate): Action
    {
        return $this->ledger->record($by, ActionKind::ChangeEstimate, function (Draft $draft) use ($by, $seen, $estimate): About {
            $row = $seen->refresh();
            $row->voided_by === null || throw VersionMoved::of($row, ['km' => $estimate->km]);
            // Seen from where it stands in the logbook, so that it does not count itself.
            $share = $this->share($by, $estimate->recordedAs($row->sequence));
            // What the odometer showed stays known.
            $draft->replace($row, ['at' => $estimate->moment->unixS, 'odometer_km' => $row->odometer_km] + self::columns($estimate));

            return self::about($estimate, $share, ['km' => $row->km]);
        });
    }

    private function share(ActionContext $by, CoreEstimate $estimate): EstimateShare
    {
        $share = ($this->readBook)($by->workshop)->shareOf($estimate);
        if ($estimate->km > 0 && $share->dates === []) {
            throw new NotPossible('from', 'no_free_day');
        }
        if ($estimate->km > 0 && $share->kmEach <= 0.0) {
            throw new NotPossible('distance', 'more_is_logged', ['km' => (string) round($share->knownKm)]);
        }

        return $share;
    }

    /** @return array<string, mixed> */
    private static function columns(CoreEstimate $estimate): array
    {
        return [
            'bike_id' => $estimate->bikeId,
            'from_at' => $estimate->fromS,
            'from_date' => $estimate->fromDate,
            'to_date' => $estimate->toDate,
            'km' => $estimate->km,
            'condition' => $estimate->condition,
            'odometer_km' => $estimate->odometerKm,
        ];
    }

    /** @param array{km: float}|null $was */
    private static function about(CoreEstimate $estimate, EstimateShare $share, ?array $was = null): About
    {
        return new About(
            bike: $estimate->bikeId,
            was: $was,
            from: $estimate->fromDate,
            to: $estimate->toDate,
            km: $estimate->km,
            each: $share->kmEach,
            odometer: $estimate->odometerKm,
            days: count($share->dates),
        );
    }
}
