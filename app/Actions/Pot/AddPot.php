<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Pot;
use Dripel\Core\Logbook\SettingKey;

/** A pot comes into the workshop. It is never used for food again. */
final readonly class AddPot
{
    public function __construct(private Ledger $ledger, private FreeNames $freeNames) {}

    /**
     * Refused with NotPossible at `name` if another pot has it.
     *
     * @param array<string, string|int|float|null> $settings by SettingKey
     */
    public function __invoke(ActionContext $by, array $settings): Action
    {
        return $this->ledger->record($by, ActionKind::AddPot, function (Draft $draft) use ($by, $settings): About {
            $this->freeNames->expectPot($by->workshop, (string) $settings[SettingKey::PotName->value]);
            $pot = $draft->create(Pot::class, ['kind' => Pot::KIND]);
            foreach ($settings as $key => $value) {
                $value === null || $draft->set(SettingKey::from($key), $value, 0, chainId: $pot->id);
            }

            return new About(pot: $pot->id);
        });
    }
}
