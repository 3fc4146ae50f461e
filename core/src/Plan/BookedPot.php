<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A pot day that somebody accepted, or is at: its chains are not asked for again. */
final readonly class BookedPot
{
    /** @param list<int> $chainIds */
    public function __construct(public int $startS, public array $chainIds, public bool $begun) {}
}
