<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** Where the tooth of a drop-in gauge came to lie at one of its marks. */
enum Seat: string
{
    /** The tooth lies on the roller: less worn than the mark. */
    case Rests = 'rests';
    /** It goes in part of the way: close below the mark. */
    case Part = 'part';
    /** It enters to the stop: at the mark or beyond it. */
    case Enters = 'enters';
}
