<?php

declare(strict_types=1);

namespace App\Actions\Wear;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Instrument;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Wear\Instrument as CoreInstrument;

/** An instrument comes onto the bench, is described anew, or is put away. What was measured with it stays as it was read. */
final readonly class KeepInstrument
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook, private FreeNames $freeNames) {}

    /** Refused with NotPossible at `name` if another one has it. */
    public function __invoke(ActionContext $by, ?Instrument $instrument, string $name, CoreInstrument $facts, bool $gone = false): Action
    {
        return $this->ledger->record($by, ActionKind::KeepInstrument, function (Draft $draft) use (
            $by,
            $instrument,
            $name,
            $facts,
            $gone,
        ): About {
            $this->freeNames->expect($by->workshop, Instrument::class, $name, $instrument?->id);
            $row = $instrument ?? $draft->create(Instrument::class, ['kind' => Instrument::KIND]);
            $draft->describe($this->readBook->settings($by->workshop), $row->id, [
                SettingKey::InstrumentName->value => $name,
                SettingKey::InstrumentKind->value => $facts->kind->value,
                SettingKey::InstrumentMarks->value => $facts->marks,
                SettingKey::InstrumentPitches->value => $facts->pitches,
                SettingKey::InstrumentUncertainty->value => $facts->uncertainty,
                SettingKey::InstrumentZero->value => $facts->zeroPct,
                SettingKey::InstrumentGone->value => (int) $gone,
            ]);

            return new About(instrument: $row->id, name: $name, new: $instrument === null, gone: $gone);
        });
    }
}
