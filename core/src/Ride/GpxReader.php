<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use XMLParser;

/**
 * GPX 1.0 and 1.1: the points of its tracks, in order. Everything but lat, lon and time is passed over.
 * Source: the GPX 1.1 schema (memory).
 */
final class GpxReader extends XmlTrackReader
{
    private bool $otherGeometrySeen = false;

    private ?int $pointDepth = null;

    private ?int $segmentDepth = null;

    private bool $segmentHasPoints = false;

    private float $lat = 0.0;

    private float $lon = 0.0;

    protected function open(XMLParser $parser, string $name, array $attributes): void
    {
        $depth = ++$this->depth;
        // Of all that is called here most is within a point: it is asked for first, and for as little as will do.
        if ($this->pointDepth !== null) {
            if ($depth === $this->pointDepth + 1 && ($name === 'time' || self::localName($name) === 'time')) {
                $this->listen($parser);
            }

            return;
        }
        $name = self::localName($name);
        if ($depth === 1) {
            $this->isRoot($parser, $name, 'gpx', 'GPX');
        } elseif ($name === 'trkpt') {
            $this->openPoint($parser, $attributes);
        } elseif ($name === 'trkseg') {
            $this->segmentDepth = $this->depth;
            $this->segmentHasPoints = false;
        } elseif ($name === 'wpt' || $name === 'rte') {
            $this->otherGeometrySeen = true;
        }
    }

    /** @param array<string, string> $attributes */
    private function openPoint(XMLParser $parser, array $attributes): void
    {
        if ($this->segmentDepth === null) {
            throw self::at($parser, 'has a track point outside of a track segment');
        }
        $this->lat = self::latitude($parser, $attributes['lat'] ?? '');
        $this->lon = self::longitude($parser, $attributes['lon'] ?? '');
        $this->pointDepth = $this->depth;
        $this->text = '';
        if (!$this->segmentHasPoints) {
            $this->segmentHasPoints = true;
            $this->segment++;
        }
    }

    protected function close(XMLParser $parser, string $name): void
    {
        if ($this->depth === $this->pointDepth) {
            $this->ready[] = new TrackPoint($this->lat, $this->lon, $this->seconds($parser, $this->text), $this->segment);
            $this->pointCount++;
            $this->pointDepth = null;
        } elseif ($this->depth === $this->segmentDepth) {
            $this->segmentDepth = null;
        }
        $this->listening && $this->stopListening($parser);
        $this->depth--;
    }

    /** Numbers in elements of their own (height, pulse, cadence) are of no interest; each costs two calls. Lines stay where they are. */
    protected function lighten(string $chunk): string
    {
        return preg_replace('~<((?!(?:[\w.-]+:)?(?:time|trkpt)>)[A-Za-z_][\w:.-]*)>[-+0-9.]+</\1>~', '', $chunk) ?? $chunk;
    }

    protected function nothing(): string
    {
        return $this->otherGeometrySeen
            ? 'holds waypoints or a planned route but no recorded track: export the activity, not the course'
            : 'holds a track without any point: nothing was recorded';
    }
}
