<?php

declare(strict_types=1);

namespace App\Pot;

use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\Pot\PotCalibrateResult;

/** A pot that took longer or less long than was said, and what its probe says that it loses and takes up. */
final readonly class PotProposal
{
    public function __construct(public HeatUp $heatUp, public string $jobId, public PotCalibrateResult $found) {}
}
