<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

use InvalidArgumentException;

/**
 * Input that breaks a rule of a model. `path` is dotted, indices from 0 (`readings.1.km`);
 * `getMessage()` says how to mend it.
 */
final class InvalidInput extends InvalidArgumentException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }

    /** The same complaint, seen from one level further out. */
    public function within(string $prefix): self
    {
        return new self($this->path === '' ? $prefix : "{$prefix}.{$this->path}", $this->getMessage());
    }
}
