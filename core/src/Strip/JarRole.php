<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What a jar is for. */
enum JarRole: string
{
    /** Takes the first dirt. */
    case Dirty = 'dirty';
    /** For the second bath, when most is off. */
    case Clean = 'clean';
    /** Collects what is spent until it is handed in. */
    case Waste = 'waste';
}
