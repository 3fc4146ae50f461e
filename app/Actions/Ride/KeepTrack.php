<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Ride;
use App\Models\Track;

/** A track that was looked at becomes a ride; the same track twice does not. */
final readonly class KeepTrack
{
    public function __construct(private LogRide $logRide) {}

    /** @throws NotPossible at `file` if this very track is in the logbook */
    public function __invoke(ActionContext $by, RideFacts $facts, Track $track, bool $loud): Action
    {
        if (self::logged($by->workshop->id, $track) !== null && Ledger::done($by, ActionKind::LogRide) === null) {
            throw new NotPossible('file', 'same_track_short');
        }

        return ($this->logRide)($by, $facts, $track, $loud);
    }

    public static function logged(int $workshopId, Track $track): ?Ride
    {
        return Ride::query()->where('workshop_id', $workshopId)->live()->where('track_fingerprint', $track->fingerprint)->first();
    }
}
