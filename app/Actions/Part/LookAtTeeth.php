<?php

declare(strict_types=1);

namespace App\Actions\Part;

use App\Actions\Guided\Tap;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\Part;
use App\Models\Workshop;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Wear\TeethSeen;

/** Somebody looked at the teeth of a cassette or a ring; what was seen stays with it. */
final readonly class LookAtTeeth
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    public function __invoke(ActionContext $by, Part $part, TeethSeen $seen, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::LookAtTeeth, function (Draft $draft) use ($part, $seen, $at): About {
            $draft->set(SettingKey::PartTeeth, $seen->value, $at->unixS, chainId: $part->id);

            return new About(part: $part->id, at: $at->unixS);
        });
    }

    /** Of the cassette that is on a bike; null: none is in the book. */
    public function onBike(ActionContext $by, int $bikeId, TeethSeen $seen, Moment $at): ?Action
    {
        $cassette = $this->readBook->withoutRides($by->workshop)->inventory()->partOn(Slot::Cassette, $bikeId, $at->unixS);

        return $cassette === null ? null : $this($by, Part::query()->findOrFail($cassette->id), $seen, $at);
    }

    /** As it was noted at a step of a guided job at a bike. */
    public function noted(GuidedJob $job, Tap $tap): void
    {
        $seen = TeethSeen::tryFrom((string) ($tap->about['teeth'] ?? ''));
        $seen === null ||
            $this->onBike(
                new ActionContext(Workshop::query()->findOrFail($job->workshop_id), null, $tap->id),
                (int) $job->number('bike'),
                $seen,
                new Moment($tap->atS),
            );
    }
}
