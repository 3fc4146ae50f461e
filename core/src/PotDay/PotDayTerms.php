<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;

/** The pot of a pot day with the wax in it, and the schools by which it is done. */
final readonly class PotDayTerms
{
    /**
     * @param PotHeatInput $pot as it stands before it is plugged in: its power is that of `heatW`, its target the bath for the first dip
     *
     * @throws InvalidInput at `target_c` above the limit of the wax or within its melting range
     */
    public function __construct(
        public PotHeatInput $pot,
        public Vessel $vessel,
        public PotKind $kind,
        public WaxKind $wax,
        public float $limitC,
        public PowerProgram $program = PowerProgram::Low,
        /** W that it is held on once it is hot. */
        public float $holdW = 0.0,
        public float $oilFraction = 0.0,
        public float $grit = 0.0,
        public bool $overheatedBefore = false,
        public SoakSchool $firstSoak = SoakSchool::Hour,
        public SoakSchool $rewaxSoak = SoakSchool::Five,
        public DrainSchool $drain = DrainSchool::Slow,
        public DryBy $dryBy = DryBy::WarmAir,
        /** Common practice, two schools: the quick link goes in tied on, or stays out because a waxed one is hard to close. */
        public bool $linkIn = false,
        public bool $weigh = false,
    ) {
        $pot->targetC <= $limitC || throw new InvalidInput('target_c', sprintf('must be %g or less: the limit of this wax', $limitC));
        $pot->targetC >= $pot->wax->meltToC || throw new InvalidInput('target_c', sprintf('must be %g or more: below it the wax is not all liquid', $pot->wax->meltToC));
    }

    public function soak(PotDayChain $chain): SoakSchool
    {
        return $chain->first ? $this->firstSoak : $this->rewaxSoak;
    }
}
