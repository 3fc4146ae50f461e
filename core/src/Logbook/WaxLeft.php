<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How far the wax on a chain goes from an instant on. */
final readonly class WaxLeft
{
    private function __construct(
        /** Whether it is waxed at all. */
        public bool $waxed,
        /** Whether somebody knows how far it went since the dip. */
        public bool $known,
        /** How much of the chain the coat covers: 0 bare, spent or unknown, 1 fresh. */
        public float $coat,
        /** Effective km that can be counted on. */
        public float $km,
        /** Hours, where its bike goes by them. */
        public ?float $hours,
        /** Whether its bike goes by hours alone. */
        public bool $hoursAlone,
        /** Whether its hours run out first, as parts of what its bike re-waxes at. */
        public bool $byHours,
    ) {}

    public static function of(Terms $terms, bool $waxed, bool $known, float $coat, float $km, ?float $hours): self
    {
        $hoursFirst = $hours !== null && $terms->intervalHours !== null && $hours / $terms->intervalHours < $km / $terms->intervalKm;

        return new self($waxed, $known, $coat, $km, $hours, $terms->hoursAlone, $terms->hoursAlone || $hoursFirst);
    }
}
