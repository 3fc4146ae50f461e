<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** The action that settles something of the Next list. */
enum Verb: string
{
    /** Opens the short path after a wet ride. */
    case Wet = 'wet';
    /** Opens the pot day with the chains of the plan. */
    case PotDay = 'pot_day';
    case TopUp = 'topup';
    /** Runs the chain through a dry cloth. */
    case Wipe = 'wipe';
    case Swap = 'swap';
    /** Opens the way of a bike from oil to wax. */
    case Convert = 'convert';
    /** Opens the strip with the chain chosen. */
    case Strip = 'strip';
    case Retire = 'retire';
    case Fit = 'fit';
    case ChooseBike = 'choose_bike';
    case Confirm = 'confirm';
    case Measure = 'measure';
    /** Adds a new chain. */
    case Add = 'add';
    /** Looks at ride files. */
    case Look = 'look';
    /** Goes on with a guided job. */
    case Go = 'go';
    /** Looks at the weeks ahead. */
    case Ahead = 'ahead';
    /** Looks after a jar. */
    case Jar = 'jar';
}
