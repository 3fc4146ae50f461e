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
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripDose;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\DripPlan;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;

/** Makes choices into a plan, with the chain and the bottle as they are; nothing is stored. */
final readonly class PlanDrip
{
    public function __construct(private ReadBook $readBook, private OpenJobs $openJobs, private AppClock $clock) {}

    /**
     * Refused with NotPossible at `chain` for one that is retired, in a job, or has no wax to add to, at `bottle_id` where it holds too
     * little to
     * cover the chain in its box.
     */
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
        $chainG = $settings->number(SettingKey::ChainMassG, $chain->id) ?? BathDip::CHAIN_G;
        $this->expectCovered($choices, $from, $chainG);
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
                Drivetrain::of(
                    $settings,
                    $book->fittings()->bikeOf($chain->id, $this->clock->unixS()) ?? $settings->home($chain->id, $this->clock->unixS()),
                    $chain->id,
                ),
                $chainG,
                $book->inventory()->greasedLink($chain->id, $this->clock->unixS()) !== null,
            ),
            $from,
            $pitches > 0,
            $chainG,
        );
    }

    private function expectCovered(DripChoices $choices, ?BottleState $bottle, float $chainG): void
    {
        $needsMl = $choices->place === DripPlace::InBox ? $choices->box?->coversMl($chainG) : null;
        $needsMl === null ||
            $bottle === null ||
            $bottle->does($needsMl) ||
            throw new NotPossible('bottle_id', 'drip_short', [
                'has' => (string) round($bottle->leftMl),
                'needs' => (string) ceil($needsMl),
            ]);
    }
}
