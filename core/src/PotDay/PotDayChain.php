<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Input\Check;
use Dripel\Core\Interval\Condition;

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
        /** The dirtiest that it was ridden in since its last dip; null: it was not. */
        public ?Condition $worst = null,
        /** Kept for an event. */
        public bool $race = false,
        /** Its quick link was stripped with it, so that it may go in. */
        public bool $linkClean = true,
        /** Closed by a quick link; else by a pin. */
        public bool $quickLink = true,
    ) {
        Check::positive('mass_g', $massG);
    }

    /** The cleaner first: new and bare steel, then what was ridden dry, the muddiest last. Common practice. */
    public static function compare(self $a, self $b): int
    {
        return $a->dirt() <=> $b->dirt();
    }

    /** Ridden in the wet or in mud: nothing for a pot that is kept clean. */
    public function dirty(): bool
    {
        return !$this->first && $this->worst !== null && $this->worst->dirt() >= Condition::Wet->dirt();
    }

    /** 0 where it brings none into the bath. */
    public function dirt(): int
    {
        return $this->first || $this->worst === null ? 0 : 1 + $this->worst->dirt();
    }
}
