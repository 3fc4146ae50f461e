<?php

declare(strict_types=1);

namespace Dripel\Core;

use Dripel\Core\Input\InvalidInput;

/** A computation that can be called by name with the contents of a file. */
interface FileModel
{
    /**
     * @param resource $stream open for reading, at its start
     *
     * @return array<string, mixed> the result, unrounded, ready for JSON
     *
     * @throws InvalidInput
     */
    public function computeFrom($stream): array;
}
