<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;
use Generator;

/** Reads one format of ride file as a stream: memory does not grow with the file. */
interface TrackReader
{
    /**
     * @param resource $stream open for reading, at its start
     *
     * @return Generator<int, TrackPoint>
     *
     * @throws InvalidInput at `file`, naming the line where there is one
     */
    public function points($stream): Generator;
}
