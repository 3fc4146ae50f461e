<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\Voice;
use Dripel\Core\Job\JobRun;
use Dripel\Core\Job\JobStep;

/** How one kind of guided job looks on the page that all of them share. */
interface JobPresenter
{
    public function title(GuidedJob $job, Voice $voice): string;

    /** @return array{title: string, text: string, again: array{title: string, text: string}|null, cautions: list<string>, subject: string, question: array{yes: string, no: string}|null} */
    public function step(GuidedJob $job, JobStep $step, Voice $voice): array;

    /** @return array<string, mixed> what stays while it runs */
    public function page(GuidedJob $job, JobRun $run, Voice $voice): array;

    /** @return array<string, mixed> what changes while it runs */
    public function live(GuidedJob $job, JobRun $run, Voice $voice): array;

    /** What was recorded of it, in a sentence. */
    public function record(Action $action, Voice $voice): string;
}
