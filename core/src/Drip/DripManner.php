<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

/** How drip wax is put on a chain on the bike: common practice knows both. */
enum DripManner: string
{
    /** One drop on each roller. */
    case Drops = 'drops';
    /** A line along the inside of the lower run, once round. */
    case Line = 'line';
}
