<?php

declare(strict_types=1);

namespace App\Command;

use RuntimeException;

/** Something is missing or unknown. The message says what; the guess is the whole text with the nearest known word. */
final class NotUnderstood extends RuntimeException
{
    public function __construct(string $problem, public readonly ?string $guess = null)
    {
        parent::__construct($problem);
    }
}
