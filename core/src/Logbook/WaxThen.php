<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What is known of a chain's wax when it came into the workshop. */
enum WaxThen: string
{
    /** Waxed, and its km since the dip are known. */
    case Known = 'known';
    /** Waxed, but nobody knows how far it went since. */
    case Unknown = 'unknown';
    /** No wax on it: greased, oiled or bare. */
    case None = 'none';
}
