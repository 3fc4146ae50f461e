<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Load;
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
        /** As the school has it for one new chain, and as it is laid out for these. */
        public Protocol $school,
        public Protocol $protocol,
        public array $sources,
        public StripPlan $plan,
        public float $startG,
        public array $jars,
        public array $busy,
        /** @var list<Load> one for each chain */
        public array $loads,
        /** @var array<'unmeasured'|'fresh_wax', list<int>> what has to be said first, of which chains */
        public array $asks,
    ) {}
}
