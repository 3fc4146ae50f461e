<?php

declare(strict_types=1);

namespace App\Actions\Part;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Fitting;
use App\Models\Opening;
use App\Models\Part;
use App\Models\Retirement;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Part as CorePart;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;
use LogicException;

/** A cassette, chainring or pair of jockey wheels goes onto a bike, new or used, in place of the one that was there. */
final readonly class AddPart
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /**
     * @param float|null $km what it has run already; null: new
     * @param bool $replaces whether the one before is worn out; else it lies in the drawer, or sits on another wheel
     */
    public function __invoke(
        ActionContext $by,
        Bike $bike,
        PartKind $kind,
        string $name,
        Moment $at,
        ?float $km = null,
        bool $onTrainer = false,
        bool $replaces = false,
        ?int $priceMinor = null,
    ): Action {
        return $this->ledger->record($by, ActionKind::AddPart, function (Draft $draft) use (
            $by,
            $bike,
            $kind,
            $name,
            $at,
            $km,
            $onTrainer,
            $replaces,
            $priceMinor,
        ): About {
            $slot = (new CorePart(0, $kind, onTrainer: $onTrainer))->slot() ?? throw new LogicException('A quick link sits on no bike.');
            $before = $this->readBook->withoutRides($by->workshop)->fittingsOf($slot)->componentOn($bike->id, $at->unixS);
            $part = $draft->create(Part::class, ['kind' => $kind->value]);
            $draft->set(SettingKey::PartName, $name, 0, chainId: $part->id);
            $onTrainer && $draft->set(SettingKey::OnTrainer, 1, 0, chainId: $part->id);
            $priceMinor === null || $draft->set(SettingKey::PartPrice, $priceMinor, 0, chainId: $part->id);
            $km === null || $draft->enter(Opening::class, $at, ['component_id' => $part->id, 'km' => $km, 'wax' => WaxThen::None]);
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $part->id, 'slot' => $slot]);
            $before !== null && $replaces && $draft->enter(Retirement::class, $at, ['component_id' => $before]);

            return new About(part: $part->id, bike: $bike->id, before: $before, replaces: $before !== null && $replaces, at: $at->unixS);
        });
    }
}
