<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/** How a chain is closed. */
enum Joint: string
{
    case Pin = 'pin';
    case QuickLink = 'quick_link';

    /** A quick link stands in for one outer link, so the chain itself is one pitch shorter. */
    public function pitches(): int
    {
        return match ($this) {
            self::Pin => 0,
            self::QuickLink => 1,
        };
    }
}
