<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/** What says which bike it was. */
enum GuessBecause: string
{
    /** The table that it comes from says so. */
    case Said = 'said';
    /** There is only one. */
    case Only = 'only';
    /** Its name is in the name of the file. */
    case Name = 'name';
    /** It is ridden on such days and so fast. */
    case Habit = 'habit';
    /** Nothing tells them apart. */
    case Nothing = 'nothing';
}
