<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** One coat of wax on a chain: from its dip, or its strip before that, until the next. Distances in km. */
final readonly class ChainCycle
{
    public function __construct(
        /** What it begins with; null: what was before any wax, or what is not known. */
        public Dip|Strip|Opening|TopUp|null $begin,
        public int $fromS,
        /** Unix seconds at which the next one begins; null: it goes on. */
        public ?int $untilS,
        public float $km,
        /** The same in km of dry road, which is what counts against an interval. */
        public float $effectiveKm,
        public int $rides,
        public int $topUps,
        /** Whether the chain got loud in it. */
        public bool $loud,
    ) {}
}
