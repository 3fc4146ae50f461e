<?php

declare(strict_types=1);

namespace Dripel\Core\Fit;

use Dripel\Core\Chain\Joint;
use Dripel\Core\Logbook\Drivetrain;

/** What is known of a swap before the hands begin: the bike, the chain that comes off and the one that goes on. */
final readonly class FitFacts
{
    public function __construct(
        /** With joint and direction of the chain that goes on. */
        public Drivetrain $bike,
        /** How the chain that comes off is closed; null: none is on. */
        public ?Joint $off = null,
        /** Whether a chain goes on; else the bike is left bare. */
        public bool $on = true,
        /** Pitches as it is ridden, its quick link counted, where it is still to be cut; null: it fits as it is. */
        public ?int $cutTo = null,
        /** Fresh from the pot: stiff, with wax on its end links. */
        public bool $freshlyDipped = false,
        /** The first waxed chain on a drivetrain that nobody cleaned for it. */
        public bool $cleanFirst = false,
        /** A new chain goes on, or the old one is retired: teeth are looked at. */
        public bool $lookAtTeeth = false,
    ) {}
}
