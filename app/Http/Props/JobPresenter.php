<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;

/**
 * How one kind of guided job looks on the page that all of them share.
 *
 * @phpstan-import-type PotDayBath from PotDayPresenter
 * @phpstan-import-type RecordedDip from PotDayPresenter
 * @phpstan-import-type ResidueView from StripPresenter
 * @phpstan-import-type RiderShareView from PotDayProps
 * @phpstan-import-type TimeAxis from PotDayProps
 *
 * @phpstan-type JobStepWords array{
 *     title: string,
 *     text: string,
 *     again: array{title: string, text: string}|null,
 *     cautions: list<string>,
 *     subject: string,
 *     question: array{yes: string, no: string}|null,
 * }
 * @phpstan-type JobStretch array{key: string, text: string, time: string, steps: list<int>}
 * @phpstan-type JobFixed array{
 *     dripOnly?: bool,
 *     stretches?: list<JobStretch>,
 *     pot?: array{id: int, name: string},
 *     aboutPot?: string,
 *     planned?: string,
 *     alsoNeeds?: list<string>,
 * }
 * @phpstan-type JobLive array{axis?: TimeAxis, bath?: PotDayBath, dips?: list<RecordedDip>, split?: list<RiderShareView>, residues?: list<ResidueView>|null}
 */
interface JobPresenter
{
    public function title(GuidedJob $job, Translator $translator): string;

    /** @return JobStepWords */
    public function step(GuidedJob $job, JobStep $step, Translator $translator): array;

    /** @return JobFixed what stays while it runs */
    public function page(GuidedJob $job, JobRun $run, Translator $translator): array;

    /** @return JobLive what changes while it runs */
    public function live(GuidedJob $job, JobRun $run, Translator $translator): array;

    /** What was recorded of it, in a sentence. */
    public function record(Action $action, Translator $translator): string;
}
