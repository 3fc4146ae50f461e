<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Actions\PotDay\PotDayJob;
use App\Exceptions\NotPossible;
use App\Guided\GuidedKind;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\Logbook\SettingKey;

/** A pot comes into the workshop, is described anew, goes out of use or comes back. It is never used for food again. */
final readonly class KeepPot
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook, private FreeNames $freeNames) {}

    /**
     * Refused with NotPossible at `name` if another pot has it, at `gone` while a pot day goes on in it.
     *
     * @param array<string, string|int|float|null> $settings by SettingKey: what is said of it; what is not named stays
     */
    public function __invoke(ActionContext $by, ?Pot $pot, array $settings): Action
    {
        $kind = $pot === null ? ActionKind::AddPot : ActionKind::ChangePot;

        return $this->ledger->record($by, $kind, function (Draft $draft) use ($by, $pot, $settings): About {
            $before = $this->readBook->settings($by->workshop);
            $name = $settings[SettingKey::PotName->value] ?? null;
            $name === null || $this->freeNames->expect($by->workshop, Pot::class, (string) $name, $pot?->id);
            $gone = ($settings[SettingKey::PotGone->value] ?? 0) === 1;
            $pot !== null && $gone && $this->expectIdle($by->workshop, $pot);
            $row = $pot ?? $draft->create(Pot::class, ['kind' => Pot::KIND]);
            $draft->describe($before, $row->id, $settings);

            return new About(pot: $row->id, gone: $gone);
        });
    }

    private function expectIdle(Workshop $workshop, Pot $pot): void
    {
        foreach (GuidedJob::query()->in($workshop)->open()->where('kind', GuidedKind::PotDay)->get() as $job) {
            PotDayJob::choices($job)->potId === $pot->id && throw new NotPossible('gone', 'pot_in_job');
        }
    }
}
