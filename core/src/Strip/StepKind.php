<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** The kinds of steps of a stripping protocol. */
enum StepKind: string
{
    /** Into a lidded jar of solvent: shaken, left, shaken. */
    case Bath = 'bath';
    /** Into the heated bath of an ultrasonic cleaner. */
    case Ultrasonic = 'ultrasonic';
    /** Brushed through in a box with a sieve. */
    case Sieve = 'sieve';
    /** Through a scrubber box on the bike. */
    case Scrub = 'scrub';
    /** Boiling water over it in a colander: takes wax off. */
    case HotWater = 'hot_water';
    /** Under running water. */
    case Rinse = 'rinse';
    case Wipe = 'wipe';
    /** On a hook over the jar, dripping. */
    case Hang = 'hang';
    /** In the air until no smell is left. */
    case Dry = 'dry';
    /** With cold air until no smell is left. */
    case BlowDry = 'blow_dry';

    /**
     * Whether the chain meets a liquid that takes grease away with it.
     *
     * @phpstan-assert-if-true self::Bath|self::Ultrasonic|self::Sieve|self::Scrub $this
     */
    public function isBath(): bool
    {
        return in_array($this, [self::Bath, self::Ultrasonic, self::Sieve, self::Scrub], true);
    }

    /** Whether it takes as much for each chain; a tank and a box on the bike hold what they hold. */
    public function scales(): bool
    {
        return $this === self::Bath || $this === self::Sieve;
    }

    public function isDrying(): bool
    {
        return $this === self::Dry || $this === self::BlowDry;
    }
}
