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
        /** How long it stays under at least: the school's time, or longer until the steel is as warm as the bath (pot.dip). */
        public float $minutes,
        /** Whether the steel takes longer than the school. */
        public bool $bySteel,
        public bool $staysLiquid,
    ) {}
}
