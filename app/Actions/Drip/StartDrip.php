<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Actions\Workshop\ChangeSettings;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;

/** The guided top-up begins. Its id comes from the form: sent twice, it begins once. */
final readonly class StartDrip
{
    public function __construct(
        private PlanDrip $planDrip,
        private ChangeSettings $changeSettings,
        private ReadBook $readBook,
        private AppClock $clock,
    ) {}

    /** Refused as PlanDrip refuses. */
    public function __invoke(ActionContext $by, Chain $chain, DripChoices $choices, ?Bottle $bottle): GuidedJob
    {
        return WriteTransaction::run(function () use ($by, $chain, $choices, $bottle): GuidedJob {
            $begun = GuidedJob::query()->in($by->workshop)->find($by->actionId);
            if ($begun !== null) {
                return $begun;
            }
            $draft = ($this->planDrip)($by->workshop, $chain, $choices, $bottle);
            $this->keepBox($by, $choices);
            Workshop::query()->whereKey($by->workshop->id)->increment('revision');
            $by->workshop->refresh();

            return GuidedJob::query()->create([
                'id' => $by->actionId,
                'workshop_id' => $by->workshop->id,
                'user_id' => $by->user?->id,
                'kind' => GuidedKind::Drip,
                'title' => $choices->place->value,
                'steps' => array_map(fn(JobStep $step) => $step->toArray(), $draft->plan->steps),
                'chains' => [$chain->id],
                'terms' => [
                    'applied_step' => $draft->plan->appliedStep,
                    'km' => WaxTopUp::KM,
                    'ml' => $draft->dose->ml,
                    'coats' => $choices->coats,
                    'bottle' => $bottle?->id,
                ],
                'started_at' => ($nowS = $this->clock->unixS()),
                'begun_at' => $nowS,
            ]);
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
