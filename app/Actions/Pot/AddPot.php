<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Pot;
use Dripel\Core\Logbook\SettingKey;

/** A pot comes into the workshop. It is never used for food again. */
final readonly class AddPot
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /**
     * Refused with NotPossible at `name` if another pot has it.
     *
     * @param array<string, string|int|float|null> $settings by SettingKey
     */
    public function __invoke(ActionContext $by, array $settings): Action
    {
        return $this->ledger->record($by, ActionKind::AddPot, function (Draft $draft) use ($by, $settings): array {
            $known = $this->readBook->settings($by->workshop);
            $name = (string) $settings[SettingKey::PotName->value];
            foreach (Pot::query()->in($by->workshop)->live()->get() as $other) {
                mb_strtolower($known->text(SettingKey::PotName, $other->id)) === mb_strtolower($name) && throw new NotPossible('name', 'pot_name_taken', ['name' => $name]);
            }
            $pot = $draft->create(Pot::class, ['kind' => Pot::KIND]);
            foreach ($settings as $key => $value) {
                $value === null || $draft->set(SettingKey::from($key), $value, 0, chainId: $pot->id);
            }

            return ['pot' => $pot->id];
        });
    }
}
