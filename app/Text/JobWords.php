<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Next\OpenJob;

/** What an open job of any kind is at, where there is no room for more. */
final readonly class JobWords
{
    public function __construct(private Translator $translator) {}

    public function title(OpenJob $job): string
    {
        return match (GuidedKind::from($job->kind)) {
            GuidedKind::Strip => (new StripWords($this->translator))->title($job->step),
            GuidedKind::PotDay => (new PotDayWords($this->translator))->title($job->step),
            GuidedKind::Drip => (new DripWords($this->translator))->title($job->step),
            GuidedKind::Fit, GuidedKind::Care => (new BikeJobWords($this->translator, GuidedKind::from($job->kind)))->title($job->step),
        };
    }
}
