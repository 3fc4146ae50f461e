<?php

declare(strict_types=1);

namespace App\Archive;

use RuntimeException;

/** A file that cannot be restored. `reason` names the sentence that says why; nothing was changed. */
final class NotRestored extends RuntimeException
{
    /** @param array<string, string|int> $parameters */
    public function __construct(public readonly string $reason, public readonly array $parameters = [])
    {
        parent::__construct($reason);
    }
}
