<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A place on a bike that holds one part at a time. */
enum Slot: string
{
    case Chain = 'chain';
    case Cassette = 'cassette';
    case Ring = 'ring';
}
