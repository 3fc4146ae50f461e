<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What a bike asks of its chains at one instant: interval in km and optionally hours, wear limit in percent. */
final readonly class Terms
{
    public function __construct(
        public float $intervalKm,
        public ?float $intervalHours,
        public float $limitPct,
        /** Whether the interval was learned by ear. */
        public bool $learned = false,
        /** Whether its chains live on drip wax alone: each drip starts the interval anew. */
        public bool $dripOnly = false,
    ) {}
}
