<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** How a wax cycle ended. */
enum CycleEnd: string
{
    /** At its first dry sound. */
    case Noise = 'noise';
    /** Cut short while it was still quiet. */
    case Pulled = 'pulled';
}
