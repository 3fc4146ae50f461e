<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Ride files that came in by themselves. */
final readonly class WaitingFiles
{
    public function __construct(public int $count) {}
}
