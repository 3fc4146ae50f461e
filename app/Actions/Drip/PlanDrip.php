<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Names;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripDose;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Drip\DripPlan;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;

/** Makes choices into a plan, with the chain and the bottle as they are; nothing is stored. */
final readonly class PlanDrip
{
    public function __construct(private ReadBook $readBook, private OpenJobs $openJobs, private AppClock $clock) {}

    /** Refused with NotPossible at `chain` for one that is retired, in a job, or has no wax to add to. */
    public function __invoke(Workshop $workshop, Chain $chain, DripChoices $choices, ?Bottle $bottle): DripDraft
    {
        $book = ($this->readBook)($workshop);
        $settings = $book->settings;
        $state = $book->chain($chain->id, $this->clock->unixS());
        $reason = match (true) {
            $state->retired() => 'drip_retired',
            isset($this->openJobs->byChain($workshop)[$chain->id]) => 'chain_in_job',
            PotRefusal::greasy($state, $settings) !== null => 'drip_over_grease',
            $state->wax->life === null && !$state->terms->dripOnly => 'drip_no_wax',
            default => null,
        };
        $reason === null || throw new NotPossible('chain', $reason, ['chain' => (new Names($settings))->fullChain($chain->id)]);
        $bottles = BottleState::all($book, $this->clock->unixS());
        $from =
            $bottle === null
                ? null
                : array_values(array_filter($bottles, fn(BottleState $one) => $one->bottleId === $bottle->id))[0] ??
                    throw new NotPossible('bottle', 'bottle_gone');
        $pitches = $settings->whole(SettingKey::ChainPitches, $chain->id);
        $dose = (new DripDose())(
            new DripDoseInput(
                $pitches ?: DripDoseInput::USUAL_PITCHES,
                1.0,
                $choices->coats,
                DripDoseInput::ML_PER_DROP,
                $from === null || $from->leftMl <= 0.0 ? null : $from->leftMl,
                $this->clock->unixS(),
                $settings->dripDryHours() * $choices->coats,
            ),
        );

        return new DripDraft(
            $state,
            $choices,
            $dose,
            DripPlan::of(
                $choices,
                $pitches ?: DripDoseInput::USUAL_PITCHES,
                $settings->dripDryHours(),
                $settings->whole(SettingKey::ChainSpeeds, $chain->id, 2) > 1,
            ),
            $from,
            $pitches > 0,
        );
    }
}
