<?php

declare(strict_types=1);

namespace App\Command;

use RuntimeException;

/** Something is missing or unknown. The message says what; the guess is the whole text with the nearest known word. */
final class NotUnderstood extends RuntimeException
{
    private function __construct(string $problem, public readonly ?string $guess)
    {
        parent::__construct($problem);
    }

    /** @param array<string, string> $parameters of the sentence */
    public static function because(string $code, array $parameters = [], ?string $guess = null): self
    {
        return new self((string) __("command.problems.{$code}", $parameters), $guess);
    }
}
