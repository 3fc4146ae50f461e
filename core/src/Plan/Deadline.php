<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Until when a chain must have been in the pot, and on which days of the plan that would be in time. */
final readonly class Deadline
{
    /**
     * @param string $by local day YYYY-MM-DD
     * @param int|null $byS Unix seconds, where the hour matters
     * @param int $from the first day of the plan whose pot counts
     * @param int $until the last one; before `from`: there is none
     * @param bool $missed whether the pot may be heated on none of them: the plan goes on without it
     */
    public function __construct(
        public DeadlineKind $kind,
        public int $bikeId,
        public int $chainId,
        public string $by,
        public ?int $byS,
        public int $from,
        public int $until,
        public bool $missed,
    ) {}
}
