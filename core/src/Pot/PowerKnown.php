<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** How one knows how strong a pot is. */
enum PowerKnown: string
{
    /** From its plate, as its owner says. */
    case Said = 'said';
    /** From the minutes that it took the last time. */
    case LastTime = 'last_time';
    /** From its kind and the grams in it: house rule. */
    case Usual = 'usual';
}
