<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

/** What Dripel promises, and what it can be held to afterwards. */
enum PromiseKind: string
{
    /** The wax of a bike's chain carries every ride before a day: that it does not run out sooner. */
    case GoodUntil = 'good_until';
    /** A reading of a chain lies within the band that was foretold: eight of ten. */
    case Wear = 'wear';
    /** A bike is ridden as much in a week as in the weeks before: eight of ten within their band. */
    case Week = 'week';
    /** A bike is ridden on wax through all the weeks of a plan: as likely as was said. */
    case Plan = 'plan';
    /** A coat is quiet for the interval that was learned by ear: four of five. */
    case Ear = 'ear';
    /** A pot is hot in about the minutes that were said. */
    case Heat = 'heat';
    /** A pot gives about as many dips as were said to be left in it. */
    case Bath = 'bath';
    /** A bottle of drip wax is empty about on the day that was said. */
    case Bottle = 'bottle';
}
