<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\GuidedKind;
use App\Logbook\ActionKind;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\BikeJobWords;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;

/** A guided job at a bike: a chain off and on, or its drivetrain cleaned. */
final readonly class BikeJobPresenter implements JobPresenter
{
    public function title(GuidedJob $job, Translator $translator): string
    {
        assert($job->kind === GuidedKind::Fit || $job->kind === GuidedKind::Care);

        return $translator->say("{$job->kind->value}.title", ['bike' => $translator->names->bike((int) $job->number('bike'))]);
    }

    public function step(GuidedJob $job, JobStep $step, Translator $translator): array
    {
        $words = new BikeJobWords($translator, $job->kind);

        return $words->step($step) + [
            'again' => null,
            'question' => null,
            'cautions' => $words->cautions($step),
            'subject' =>
                $job->chains === [] ? $translator->names->bike((int) $job->number('bike')) : $translator->names->fullChain($job->chains[0]),
        ];
    }

    public function page(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        return [];
    }

    public function live(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        return ['residues' => null];
    }

    public function record(Action $action, Translator $translator): string
    {
        assert($action->kind === ActionKind::FitChain || $action->kind === ActionKind::BrushDrivetrain);

        return $translator->say("ui.job.record_{$action->kind->value}", [
            'time' => $translator->quantities->time((int) $action->about->at),
        ]);
    }
}
