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
    /** A fitted chain was dried after the wet and wants wax before the next ride. */
    case WetDried = 'wet_dried';
    /** A chain was ridden on after the wet without being dried: its joints want a look for rust. */
    case WetPast = 'wet_past';
    /** A fitted chain has no wax left. */
    case Overdue = 'overdue';
    /** A fitted chain came waxed and nobody knows how far it has gone since. */
    case Unsure = 'unsure';
    /** The usual ride of a day is longer than the wax on the bike. */
    case Outrun = 'outrun';
    /** A bike will soon need a waxed chain and none hangs ready. */
    case NoneWaxed = 'none_waxed';
    /** A fitted chain was topped up as often as it may be: the pot comes next. */
    case ToppedUp = 'topped_up';
    /** A chain that is kept for an event wants its dip for it. */
    case EventDip = 'event_dip';
    /** By the plan the pot is to be heated. */
    case PlannedPot = 'planned_pot';
    /** By the plan a chain is to be dripped. */
    case PlannedDrip = 'planned_drip';
    /** Chains hang spent and wait for the pot. */
    case SpentWaiting = 'spent_waiting';
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

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
