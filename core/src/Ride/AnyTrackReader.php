<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;
use Generator;

/** Reads a ride file of whichever format it is. */
final readonly class AnyTrackReader implements TrackReader
{
    public function points($stream): Generator
    {
        $start = (string) fread($stream, RideFileKind::HEAD_BYTES);

        return match (RideFileKind::of($start)) {
            RideFileKind::Fit => throw new InvalidInput(
                'file',
                'is a FIT file: export the activity as GPX or TCX where it was uploaded, or with any converter',
            ),
            RideFileKind::Zip => throw new InvalidInput('file', 'is a zip within another: unpack it and drop the files that are in it'),
            RideFileKind::Table => throw new InvalidInput('file', 'is a table: drop it by itself, and say what its columns are'),
            RideFileKind::Tcx => (new TcxReader())->points($stream, $start),
            RideFileKind::Gpx => (new GpxReader())->points($stream, $start),
        };
    }
}
