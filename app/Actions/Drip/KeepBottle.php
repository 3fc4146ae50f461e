<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bottle;
use App\Support\AppClock;
use Dripel\Core\Logbook\SettingKey;

/** A bottle of drip wax comes onto the shelf, is described anew, looked into, or thrown away. What was dripped from it stays. */
final readonly class KeepBottle
{
    public function __construct(
        private Ledger $ledger,
        private ReadBook $readBook,
        private FreeNames $freeNames,
        private AppClock $clock,
    ) {}

    /**
     * Refused with NotPossible at `name` if another one has it.
     *
     * @param array<string, string|int|float|null> $settings by SettingKey: what it is
     * @param float|null $leftMl what somebody sees in it now; null: nobody looked
     */
    public function __invoke(ActionContext $by, ?Bottle $bottle, array $settings, ?float $leftMl = null): Action
    {
        return $this->ledger->record($by, ActionKind::KeepBottle, function (Draft $draft) use ($by, $bottle, $settings, $leftMl): About {
            $name = (string) $settings[SettingKey::BottleName->value];
            $this->freeNames->expect($by->workshop, Bottle::class, $name, $bottle?->id);
            $row = $bottle ?? $draft->create(Bottle::class, ['kind' => Bottle::KIND]);
            $draft->describe($this->readBook->settings($by->workshop), $row->id, $settings);
            $leftMl === null || $draft->set(SettingKey::BottleLeftMl, $leftMl, $this->clock->unixS(), chainId: $row->id);

            return new About(
                bottle: $row->id,
                name: $name,
                new: $bottle === null,
                gone: ($settings[SettingKey::BottleGone->value] ?? 0) === 1,
                leftMl: $leftMl,
            );
        });
    }
}
