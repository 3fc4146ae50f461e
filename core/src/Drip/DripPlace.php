<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

/** Where a chain gets its drip wax. */
enum DripPlace: string
{
    /** A drop on each roller, while it is on the bike. */
    case OnBike = 'on_bike';
    /** Laid into a small lidded box, just covered with cold drip wax; what is left goes back into the bottle. */
    case InBox = 'in_box';
}
