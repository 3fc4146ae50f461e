<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Action;
use RuntimeException;

/** An action cannot be taken back alone: others build on it. */
final class UndoBlocked extends RuntimeException
{
    /** @param non-empty-list<Action> $inTheWay what would have to go too, the newest first */
    public function __construct(public readonly Action $target, public readonly array $inTheWay)
    {
        parent::__construct('Other actions build on it.');
    }
}
