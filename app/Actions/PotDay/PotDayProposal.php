<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayPlan;

/** A pot day planned with pot and chains as they are. */
final readonly class PotDayProposal
{
    /**
     * @param list<PotDayChain> $chains
     * @param list<int> $unmeasured chains that were ridden since they were measured
     */
    public function __construct(
        public PotDayPlan $plan,
        public array $chains,
        public array $unmeasured,
        /** When to begin: now, or so that it is done in time. Before now: it is too late for that. */
        public int $startS,
    ) {}
}
