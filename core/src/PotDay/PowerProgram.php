<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** How the pot is switched through the day. */
enum PowerProgram: string
{
    /** On low from beginning to end. The default. */
    case Low = 'low';
    /** On high from beginning to end. */
    case High = 'high';
    /** On high until it is hot, then on low. */
    case HighThenLow = 'high_then_low';
}
