<?php

declare(strict_types=1);

namespace App\Exceptions;

use RuntimeException;

/** A rule of the workshop forbids it. `reason` names the sentence that says why and how to mend it. */
final class NotPossible extends RuntimeException
{
    /** @param array<string, string|int|float> $parameters */
    public function __construct(public readonly string $field, public readonly string $reason, public readonly array $parameters = [])
    {
        parent::__construct($reason);
    }
}
