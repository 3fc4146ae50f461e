<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** The action that settles something of the Next list. */
enum Verb: string
{
    case Dip = 'dip';
    case Swap = 'swap';
    case Retire = 'retire';
    case Fit = 'fit';
    case ChooseBike = 'choose_bike';
    case Confirm = 'confirm';
    case Measure = 'measure';
    /** Adds a new chain. */
    case Add = 'add';
    /** Goes on with a guided job. */
    case Go = 'go';
    /** Looks after a jar. */
    case Jar = 'jar';
}
