<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Fitting;
use App\Models\Retirement;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Wear\TeethSeen;

/** A chain goes out of use. If it is on a bike it comes off; what was seen of the teeth it ran on stays with the cassette. */
final readonly class RetireChain
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    public function __invoke(ActionContext $by, Chain $chain, Moment $at, ?TeethSeen $teeth = null): Action
    {
        return $this->ledger->record($by, ActionKind::RetireChain, function (Draft $draft) use ($by, $chain, $at, $teeth): About {
            $book = $this->readBook->withoutRides($by->workshop);
            $bikeId = $book->fittings()->bikeOf($chain->id, $at->unixS);
            $ranOn = $book->bikeOfChain($chain->id, $at->unixS);
            $cassette = $ranOn === null ? null : $book->inventory()->partOn(Slot::Cassette, $ranOn, $at->unixS);
            $teeth === null || $cassette === null || $draft->set(SettingKey::PartTeeth, $teeth->value, $at->unixS, chainId: $cassette->id);
            $bikeId === null || $draft->enter(Fitting::class, $at, ['bike_id' => $bikeId, 'component_id' => null]);
            $draft->enter(Retirement::class, $at, ['component_id' => $chain->id]);

            return new About(chain: $chain->id, bike: $bikeId, at: $at->unixS);
        });
    }
}
