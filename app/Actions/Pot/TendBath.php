<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\BathEntry;
use App\Models\Pot;
use App\Pot\ReadBaths;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\Moment;

/** Something is done with the wax in a pot: filled, topped up, filtered, taken out, its temperature read. */
final readonly class TendBath
{
    public function __construct(private Ledger $ledger, private ReadBaths $readBaths) {}

    /** Refused with NotPossible at `pot` before the first fill, at `wax` if more is taken out than is in it. */
    public function __invoke(ActionContext $by, Pot $pot, BathEvent $event, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::TendBath, function (Draft $draft) use ($by, $pot, $event, $at): About {
            $bath = ($this->readBaths)($by->workshop)[$pot->id] ?? null;
            $event->kind === BathEventKind::Fill || $bath?->filledS !== null || throw new NotPossible('pot', 'pot_empty');
            $has = $bath?->ledger?->waxG;
            $event->kind === BathEventKind::Remove &&
                $has !== null &&
                $event->waxG > $has + Check::EPSILON &&
                throw new NotPossible('wax', 'more_than_in_pot', ['has' => (string) round($has)]);
            $wax = in_array($event->kind, [BathEventKind::Fill, BathEventKind::TopUp, BathEventKind::Remove], true);
            $draft->enter(BathEntry::class, $at, [
                'component_id' => $pot->id,
                'kind' => $event->kind,
                'wax_g' => $wax && $event->waxG > 0.0 ? $event->waxG : null,
                'oil_g' => $wax && $event->oilG > 0 ? $event->oilG : null,
                'removed_fraction' => $event->kind === BathEventKind::Filter ? $event->removedFraction : null,
                'temp_c' => $event->kind === BathEventKind::Reading ? $event->tempC : null,
            ]);

            return new About(
                pot: $pot->id,
                bath: $event->kind->value,
                grams: $wax ? $event->waxG + $event->oilG : null,
                celsius: $event->kind === BathEventKind::Reading ? $event->tempC : null,
                at: $at->unixS,
            );
        });
    }
}
