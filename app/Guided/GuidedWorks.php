<?php

declare(strict_types=1);

namespace App\Guided;

use App\Actions\Bike\CareWork;
use App\Actions\Drip\DripWork;
use App\Actions\Fitting\FitWork;
use App\Actions\PotDay\PotDayWork;
use App\Actions\Strip\StripWork;
use App\Models\GuidedJob;

/** The one list of the kinds of guided jobs. */
final readonly class GuidedWorks
{
    public function __construct(
        private StripWork $strip,
        private PotDayWork $potDay,
        private DripWork $drip,
        private FitWork $fit,
        private CareWork $care,
    ) {}

    public function of(GuidedJob $job): GuidedWork
    {
        return match ($job->kind) {
            GuidedKind::Strip => $this->strip,
            GuidedKind::PotDay => $this->potDay,
            GuidedKind::Drip => $this->drip,
            GuidedKind::Fit => $this->fit,
            GuidedKind::Care => $this->care,
        };
    }
}
