<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\StripPlan;

/** A stripping planned with the jars as they are. */
final readonly class StripDraft
{
    /**
     * @param list<BathSource> $sources
     * @param array<int, JarState> $jars
     * @param list<int> $busy jars that another job has open
     */
    public function __construct(
        public Protocol $protocol,
        public array $sources,
        public StripPlan $plan,
        public float $startG,
        public array $jars,
        public array $busy,
    ) {}
}
