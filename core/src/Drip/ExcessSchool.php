<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

/** What becomes of the drip wax that stands on the plates once it is dry. Both are common practice. */
enum ExcessSchool: string
{
    /** Wiped off: a clean chain. */
    case Wipe = 'wipe';
    /** Left where it is: it runs quieter. */
    case Leave = 'leave';
}
