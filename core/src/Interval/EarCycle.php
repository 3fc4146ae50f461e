<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** A wax cycle of the logbook: one dip of one chain until it was heard, topped up, dipped anew, or until now. Effective km. */
final readonly class EarCycle
{
    public function __construct(
        public int $chainId,
        public int $fromS,
        public int $endS,
        public WaxCycle $cycle,
        /** Whether it still goes on. */
        public bool $open,
        /** The same by condition; null where part of it is known by its sum alone. */
        public ?ConditionCycle $ridden,
    ) {}
}
