<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;
use Generator;

/** Reads a ride file of whichever format it is: by its first bytes, never by its name. */
final readonly class AnyTrackReader implements TrackReader
{
    private const HEAD_BYTES = 4096;

    public function points($stream): Generator
    {
        $head = str_replace("\0", '', $start = (string) fread($stream, self::HEAD_BYTES));
        rewind($stream);

        return match (true) {
            substr($start, 8, 4) === '.FIT' => throw new InvalidInput('file', 'is a FIT file: export the activity as GPX or TCX where it was uploaded, or with any converter'),
            str_starts_with($start, "PK\x03\x04") => throw new InvalidInput('file', 'is a zip: unpack it and drop the files that are in it'),
            str_contains($head, '<TrainingCenterDatabase') => (new TcxReader)->points($stream),
            default => (new GpxReader)->points($stream),
        };
    }
}
