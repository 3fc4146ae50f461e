<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;
use Generator;

/** Reads one format of ride file as a stream: memory does not grow with the file. */
interface TrackReader
{
    /** A day of riding recorded ten times a second is smaller; a bomb in an archive is not. */
    public const MOST_BYTES = 268_435_456;

    /**
     * @param resource $stream open for reading, at its start
     *
     * @return Generator<int, TrackPoint>
     *
     * @throws InvalidInput at `file`, naming the line where there is one
     */
    public function points($stream): Generator;
}
