<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Care\CareDue;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Fit\FitFacts;
use Dripel\Core\Fit\FitPlan;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\SettingKey;

/** Lays out a swap for the bike and the chains as they are; nothing is stored. */
final readonly class PlanFit
{
    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    public function __invoke(Workshop $workshop, Bike $bike, ?Chain $chain): FitPlan
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();
        $off = $book->fittings->componentOn($bike->id, $nowS);
        $state = $chain === null ? null : $book->chain($chain->id, $nowS);
        $pitches = $chain === null ? 0 : $book->settings->whole(SettingKey::ChainPitches, $chain->id);
        $new = $state !== null && $state->km->whole && $state->km->km <= 0.0 && $book->fittings->spansOf($state->chainId) === [];
        $waxed = $state !== null && $state->status === ChainStatus::Waxed;

        return FitPlan::of(
            new FitFacts(
                Drivetrain::of($book->settings, $bike->id, $chain->id ?? ($off ?? 0)),
                $off === null ? null : (FitNote::pinned($book, $off) ? Joint::Pin : Joint::QuickLink),
                $chain !== null,
                // It is cut before it is stripped: common practice.
                $new && !$waxed && $state->status !== ChainStatus::Bare && $pitches > 0 ? $pitches : null,
                $waxed && $state->dips > 0,
                $waxed && CareDue::of($book, $bike->id, $nowS)->beforeFirstWax,
                $new,
            ),
        );
    }
}
