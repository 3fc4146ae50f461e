<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** What the Shed asks for next, the most pressing first among those of one day. */
enum NextKind: string
{
    /** A stripped chain must be waxed before it rusts. */
    case Bare = 'bare';
    /** A guided job is under way and waits for somebody. */
    case Job = 'job';
    /** A chain was ridden in the wet and nobody has dried it. */
    case Wet = 'wet';
    /** A chain was ridden on after the wet without being dried: its joints want a look for rust. */
    case WetPast = 'wet_past';
    /** A fitted chain has no wax left. */
    case Overdue = 'overdue';
    /** A fitted chain came waxed and nobody knows how far it has gone since. */
    case Unsure = 'unsure';
    /** A ride is longer than the wax on the bike. */
    case Outrun = 'outrun';
    /** A chain that is kept for an event wants its dip for it. */
    case EventDip = 'event_dip';
    /** By the plan the pot is to be heated. */
    case PlannedPot = 'planned_pot';
    /** By the plan a chain is to be dripped. */
    case PlannedDrip = 'planned_drip';
    /** A ride that no chain can take, whatever is done. */
    case Unmet = 'unmet';
    /** An evening at the bench: several things as one. */
    case Evening = 'evening';
    /** Small things that any day will do for, as one. */
    case Chores = 'chores';
    /** A bike ridden on oil is on its way to wax. */
    case Convert = 'convert';
    /** A chain has grease or oil on it: no wax holds. */
    case Strip = 'strip';
    /** A chain that lives on drip wax wants a full clean, by its school. */
    case DeepClean = 'deep_clean';
    /** A chain is past its wear limit. */
    case Worn = 'worn';
    /** A chain may be past its limit: it wants to be measured. */
    case Measure = 'measure';
    /** A bike has, or will soon have, too few chains. */
    case Buy = 'buy';
    /** A ride has no chain to go to. */
    case NoChain = 'no_chain';
    /** A ride has no bike. */
    case NoBike = 'no_bike';
    /** A chain wants a dry cloth between two dips. */
    case Wipe = 'wipe';
    /** Ride files came in by themselves and wait to be looked at. */
    case RidesIn = 'rides_in';
    /** A solvent jar has done its cleanings. */
    case JarSpent = 'jar_spent';
    /** A jar has stood long enough to be decanted. */
    case JarSettled = 'jar_settled';
    /** A bath wants wax, a filter, or to be replaced. */
    case Bath = 'bath';
    /** The weekly commute filled itself in and waits to be confirmed. */
    case Commute = 'commute';

    /** Whether any day will do for it, though it has been waiting since one. */
    public function waits(): bool
    {
        return in_array(
            $this,
            [self::NoChain, self::NoBike, self::Commute, self::RidesIn, self::JarSettled, self::Buy, self::Chores],
            true,
        );
    }

    /** Whether it is done at the bench: pot, bottle, jars and what belongs to them. */
    public function isBenchWork(): bool
    {
        return in_array(
            $this,
            [
                self::Bare,
                self::Job,
                self::EventDip,
                self::PlannedPot,
                self::PlannedDrip,
                self::Convert,
                self::Strip,
                self::DeepClean,
                self::JarSpent,
                self::JarSettled,
                self::Bath,
            ],
            true,
        );
    }

    /** Whether several are done in the time of one: chains go through the jars together. */
    public function together(): bool
    {
        return $this === self::Strip;
    }

    /** In which order it is done in an evening: measured and wiped first, then the pot, the bottle, and the chains back on. */
    public function atTheBench(): int
    {
        return match ($this) {
            self::Measure => 0,
            self::Wipe, self::Worn => 1,
            self::PlannedPot, self::Job => 2,
            self::PlannedDrip => 3,
            default => 4,
        };
    }

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
