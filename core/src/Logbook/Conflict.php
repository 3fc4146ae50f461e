<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Two entries that cannot both be true. */
final readonly class Conflict
{
    public function __construct(
        public ConflictKind $kind,
        public int $chainId,
        /** The entry that could not happen as the logbook stands. */
        public Entry $entry,
        /** The entry that stands in its way. */
        public Entry $against,
    ) {}
}
