<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use XMLParser;

/**
 * TCX: the points of its tracks that have a position, in order; a pause or a home trainer records points without one. Everything
 * but position and time is passed over. Source: the TrainingCenterDatabase v2 schema (memory).
 */
final class TcxReader extends XmlTrackReader
{
    private bool $inPoint = false;

    private bool $trackHasPoints = false;

    private bool $pointsWithoutPlace = false;

    private string $time = '';

    private ?float $lat = null;

    private ?float $lon = null;

    protected function open(XMLParser $parser, string $name, array $attributes): void
    {
        $this->depth++;
        $name = self::localName($name);
        if ($this->depth === 1) {
            $this->isRoot($parser, $name, 'TrainingCenterDatabase', 'TCX');
        } elseif ($name === 'Track') {
            $this->trackHasPoints = false;
        } elseif ($name === 'Trackpoint') {
            [$this->inPoint, $this->time, $this->lat, $this->lon] = [true, '', null, null];
        } elseif ($this->inPoint && ($name === 'Time' || $name === 'LatitudeDegrees' || $name === 'LongitudeDegrees')) {
            $this->listen($parser);
        }
    }

    protected function close(XMLParser $parser, string $name): void
    {
        $name = self::localName($name);
        if ($this->inPoint) {
            match ($name) {
                'Time' => ($this->time = $this->text),
                'LatitudeDegrees' => ($this->lat = self::latitude($parser, trim($this->text))),
                'LongitudeDegrees' => ($this->lon = self::longitude($parser, trim($this->text))),
                'Trackpoint' => $this->point($parser),
                default => null,
            };
        }
        $this->listening && $this->stopListening($parser);
        $this->depth--;
    }

    private function point(XMLParser $parser): void
    {
        $this->inPoint = false;
        if ($this->lat === null || $this->lon === null) {
            $this->pointsWithoutPlace = true;

            return;
        }
        if (!$this->trackHasPoints) {
            $this->trackHasPoints = true;
            $this->segment++;
        }
        $this->ready[] = new TrackPoint($this->lat, $this->lon, $this->seconds($parser, $this->time), $this->segment);
        $this->pointCount++;
    }

    protected function nothing(): string
    {
        return $this->pointsWithoutPlace
            ? 'holds no positions, so it was ridden on the spot: log its distance by hand'
            : 'holds a track without any point: nothing was recorded';
    }
}
