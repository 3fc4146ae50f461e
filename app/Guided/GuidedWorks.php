<?php

declare(strict_types=1);

namespace App\Guided;

use App\Actions\Drip\DripWork;
use App\Actions\PotDay\PotDayWork;
use App\Actions\Strip\StripWork;
use App\Models\GuidedJob;

/** The one list of the kinds of guided jobs. */
final readonly class GuidedWorks
{
    public function __construct(private StripWork $strip, private PotDayWork $potDay, private DripWork $drip) {}

    public function of(GuidedJob $job): GuidedWork
    {
        return match ($job->kind) {
            GuidedKind::Strip => $this->strip,
            GuidedKind::PotDay => $this->potDay,
            GuidedKind::Drip => $this->drip,
        };
    }
}
