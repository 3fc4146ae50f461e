<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Actions\Workshop\ChangeSettings;
use App\Guided\BeginJob;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\GuidedJob;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;

/** The guided top-up begins. */
final readonly class StartDrip
{
    public function __construct(
        private PlanDrip $planDrip,
        private ChangeSettings $changeSettings,
        private ReadBook $readBook,
        private BeginJob $beginJob,
    ) {}

    /** Refused as PlanDrip refuses. */
    public function __invoke(ActionContext $by, Chain $chain, DripChoices $choices, ?Bottle $bottle): GuidedJob
    {
        return ($this->beginJob)($by, GuidedKind::Drip, function () use ($by, $chain, $choices, $bottle): array {
            $draft = ($this->planDrip)($by->workshop, $chain, $choices, $bottle);
            $this->keepBox($by, $choices);

            return [
                'title' => $choices->place->value,
                'steps' => $draft->plan->steps,
                'chains' => [$chain->id],
                'terms' => [
                    'applied_step' => $draft->plan->appliedStep,
                    'km' => WaxTopUp::KM,
                    'ml' => $draft->dose->ml,
                    'coats' => $choices->coats,
                    'bottle' => $bottle?->id,
                ],
            ];
        });
    }

    /** The box is asked for once. */
    private function keepBox(ActionContext $by, DripChoices $choices): void
    {
        $boxMm = $choices->box?->wideMm;
        $boxMm === null ||
            $this->readBook->settings($by->workshop)->number(SettingKey::DripBoxMm, 0) === $boxMm ||
            ($this->changeSettings)(
                new ActionContext($by->workshop, $by->user, (string) Str::uuid()),
                null,
                [SettingKey::DripBoxMm->value => $boxMm],
                false,
            );
    }
}
