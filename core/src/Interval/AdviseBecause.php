<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What sets an interval, the first of those that ask for the same. */
enum AdviseBecause: string
{
    /** The longest that is wanted at all. */
    case Cap = 'cap';
    /** It gets loud. */
    case Noise = 'noise';
    /** It wears too fast for the life that is wanted. */
    case Wear = 'wear';
}
