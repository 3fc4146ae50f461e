<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What a bike is stopped with: wax, drip and solvent are kept off it, and it is tried before the first ride. */
enum Brakes: string
{
    /** The default: what most bikes have by now. */
    case Disc = 'disc';
    case Rim = 'rim';
    /** Inside the hub: nothing that could be covered. */
    case Hub = 'hub';
}
