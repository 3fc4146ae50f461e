<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\ChainState;

/**
 * One way out of a wet ride, and what it gives: km of wax on the bike, and when it may be ridden (Unix seconds; null: nobody knows yet).
 */
final readonly class WetOption
{
    public function __construct(
        public WetWay $way,
        public float $leftKm,
        public ?int $readyAtS,
        /** Whether it is ready for the next ride that is usual. */
        public bool $inTime,
        /** The chain that goes on, for a swap. */
        public ?ChainState $chain = null,
    ) {}
}
