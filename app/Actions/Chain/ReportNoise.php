<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Noise;
use Dripel\Core\Logbook\Moment;

/** The chain of a bike got loud. */
final readonly class ReportNoise
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Bike $bike, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::ReportNoise, function (Draft $draft) use ($bike, $at): About {
            $draft->enter(Noise::class, $at, ['bike_id' => $bike->id]);

            return new About(bike: $bike->id, at: $at->unixS);
        });
    }
}
