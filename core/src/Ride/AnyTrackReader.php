<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\Gzip;
use Dripel\Core\Input\InvalidInput;
use Generator;

/** Reads a ride file of whichever format it is, packed or not. */
final readonly class AnyTrackReader implements TrackReader
{
    public function points($stream): Generator
    {
        $start = (string) fread($stream, RideFileKind::HEAD_BYTES);

        return match (RideFileKind::of($start)) {
            RideFileKind::Fit => (new FitReader())->points($stream, $start),
            RideFileKind::Gzip => $this->points(Gzip::unpacked($stream, self::MOST_BYTES, $start)),
            RideFileKind::Zip => throw new InvalidInput('file', 'is a zip within another: unpack it and drop the files that are in it'),
            RideFileKind::Table => throw new InvalidInput('file', 'is a table: drop it by itself, and say what its columns are'),
            RideFileKind::Tcx => (new TcxReader())->points($stream, $start),
            RideFileKind::Gpx => (new GpxReader())->points($stream, $start),
        };
    }
}
