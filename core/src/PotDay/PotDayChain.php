<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Input\Check;

/** A chain that is to be waxed, and what it needs. g. */
final readonly class PotDayChain
{
    public function __construct(
        public int $id,
        /** Bare steel, or never waxed. */
        public bool $first,
        public RinseSchool $rinse = RinseSchool::Straight,
        public float $massG = BathDip::CHAIN_G,
        /** Bare for so long that somebody has to look for rust first. */
        public bool $rust = false,
        /** Dusted with a friction powder after the dip. */
        public bool $powder = false,
    ) {
        Check::positive('mass_g', $massG);
    }
}
