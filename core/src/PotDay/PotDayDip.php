<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** What one chain meets in the bath: °C, minutes, grams. */
final readonly class PotDayDip
{
    public function __construct(
        public int $chainId,
        /** Counts from 1; those of one batch go in together. */
        public int $batch,
        /** Of the bath when it goes in, and right after. */
        public float $bathC,
        public float $mixedC,
        public float $frozenG,
        /** How long it stays under at least: the larger of the school's time and that of pot.dip. */
        public float $minutes,
        /** Whether pot.dip asks for longer than the school. */
        public bool $byBath,
        public bool $staysLiquid,
    ) {}
}
