<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What somebody sees when looking at the teeth of what a chain runs on. Common practice: at each retirement and before each new chain. */
enum TeethSeen: string
{
    case Good = 'good';
    /** Hooked or pointed. */
    case Hooked = 'hooked';
    /** The gaps between them are widened. */
    case Gaps = 'gaps';
    /** A new chain skips on it under load. */
    case Skips = 'skips';

    public function worn(): bool
    {
        return $this !== self::Good;
    }
}
