<?php

declare(strict_types=1);

namespace App\Exceptions;

use Dripel\Core\Logbook\Conflict;
use RuntimeException;

/** What was asked for cannot have happened, as the logbook stands. */
final class LogbookConflict extends RuntimeException
{
    /** @param non-empty-list<Conflict> $conflicts */
    public function __construct(public readonly array $conflicts)
    {
        parent::__construct('The logbook would contradict itself.');
    }
}
