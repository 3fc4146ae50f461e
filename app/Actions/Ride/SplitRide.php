<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\NotPossible;
use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Fitting;
use App\Models\Ride;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;

/** A chain was changed at the roadside: the ride becomes two, and the second goes to the other chain. */
final readonly class SplitRide
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with VersionMoved if somebody changed the ride since, with NotPossible at `distance` unless it is part of
     * the ride, at `time` unless after its start, at `chain_id` if nobody said which bike it was.
     */
    public function __invoke(ActionContext $by, Ride $seen, float $afterKm, Moment $changeAt, Chain $to): Action
    {
        return $this->ledger->record($by, ActionKind::SplitRide, function (Draft $draft) use ($seen, $afterKm, $changeAt, $to): About {
            $ride = $seen->refresh();
            $ride->voided_by === null || throw VersionMoved::of($ride, ['km' => $afterKm]);
            $ride->bike_id !== null || throw new NotPossible('chain_id', 'bike_first');
            ($afterKm > 0 && $afterKm < $ride->km) || throw new NotPossible('distance', 'split_within');
            $known = $ride->precision === Precision::Minute;
            !$known || $changeAt->unixS > $ride->at || throw new NotPossible('time', 'change_after_start');
            $share = $afterKm / $ride->km;
            $cut = $ride->track_to === null ? null : $ride->track_from + (int) round($share * ($ride->track_to - $ride->track_from));
            // Where only the day is known, the first part goes to the chain that came off: the one just before the change.
            $start = $known ? [] : ['at' => $changeAt->unixS - 60, 'precision' => Precision::Minute];
            $draft->replace(
                $ride,
                $start + ['km' => $afterKm, 'hours' => $ride->hours === null ? null : $ride->hours * $share, 'track_to' => $cut],
            );
            $draft->enter(Fitting::class, $changeAt, ['bike_id' => $ride->bike_id, 'component_id' => $to->id]);
            $draft->enter(Ride::class, $changeAt, [
                'bike_id' => $ride->bike_id,
                'km' => $ride->km - $afterKm,
                'hours' => $ride->hours === null ? null : $ride->hours * (1 - $share),
                'condition' => $ride->condition,
                'track_fingerprint' => $ride->track_fingerprint,
                'track_from' => $cut,
                'track_to' => $ride->track_to,
            ]);

            return new About(bike: $ride->bike_id, chain: $to->id, km: $ride->km, first: $afterKm, at: $changeAt->unixS);
        });
    }
}
