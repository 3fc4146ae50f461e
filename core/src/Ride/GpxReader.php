<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Closure;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Input\IsoTime;
use Generator;
use XMLParser;

/**
 * GPX 1.0 and 1.1: the points of its tracks, in order. Everything but lat, lon and time is passed over.
 * A document type declaration is refused before the parser sees it, so no entity is ever expanded or fetched.
 * Source: the GPX 1.1 schema (memory).
 */
final class GpxReader implements TrackReader
{
    private const CHUNK_BYTES = 65536;

    /** A declaration must stand before the root element; no honest prolog is longer than this. */
    private const PROLOG_BYTES = 65536;

    private string $prolog = '';

    private bool $rootSeen = false;

    private bool $otherGeometrySeen = false;

    private int $depth = 0;

    private int $segment = -1;

    private ?int $pointDepth = null;

    private ?int $segmentDepth = null;

    private bool $inTime = false;

    private bool $segmentHasPoints = false;

    private int $pointCount = 0;

    private float $lat = 0.0;

    private float $lon = 0.0;

    private string $time = '';

    private ?Closure $textHandler = null;

    private string $minuteText = '-';

    private float $minuteS = 0.0;

    /** @var list<TrackPoint> */
    private array $ready = [];

    public function points($stream): Generator
    {
        return (new self)->read($stream);
    }

    /**
     * @param resource $stream
     *
     * @return Generator<int, TrackPoint>
     */
    private function read($stream): Generator
    {
        $parser = xml_parser_create();
        xml_parser_set_option($parser, XML_OPTION_CASE_FOLDING, 0);
        xml_set_element_handler($parser, $this->open(...), $this->close(...));
        $empty = true;
        do {
            $chunk = (string) fread($stream, self::CHUNK_BYTES);
            $last = feof($stream);
            $empty = $empty && trim($chunk) === '';
            if ($empty && $last) {
                throw new InvalidInput('file', 'is empty: export the ride again as GPX');
            }
            $this->refuseDeclaration($chunk);
            if (xml_parse($parser, $chunk, $last) !== 1) {
                throw self::broken($parser);
            }
            yield from $this->ready;
            $this->ready = [];
        } while (! $last);
        if ($this->pointCount === 0) {
            throw new InvalidInput('file', $this->otherGeometrySeen
                ? 'holds waypoints or a planned route but no recorded track: export the activity, not the course'
                : 'holds a track without any point: nothing was recorded');
        }
    }

    private function refuseDeclaration(string $chunk): void
    {
        if ($this->rootSeen || strlen($this->prolog) > self::PROLOG_BYTES) {
            return;
        }
        $this->prolog .= $chunk;
        // NULs are dropped so that a wide encoding does not hide it.
        $start = str_replace("\0", '', $this->prolog);
        if (stripos($start, '<!DOCTYPE') !== false || stripos($start, '<!ENTITY') !== false) {
            $line = 1 + substr_count(strtoupper(substr($start, 0, (int) stripos($start, '<!'))), "\n");
            throw new InvalidInput('file', "line {$line}: has a document type declaration, which a GPX file never needs; it is not read");
        }
    }

    /** @param array<string, string> $attributes */
    private function open(XMLParser $parser, string $name, array $attributes): void
    {
        $this->depth++;
        $name = self::localName($name);
        if (! $this->rootSeen) {
            if ($name !== 'gpx') {
                throw self::at($parser, "is not a GPX file: its outermost element is <{$name}>");
            }
            $this->rootSeen = true;
            $this->prolog = '';
        } elseif ($this->pointDepth !== null) {
            if ($name === 'time' && $this->depth === $this->pointDepth + 1) {
                // Only here is text of interest; asking for all of it costs a call for every piece of white space.
                $this->textHandler ??= $this->text(...);
                xml_set_character_data_handler($parser, $this->textHandler);
                $this->inTime = true;
            }
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
        $this->lat = self::degrees($attributes['lat'] ?? '', 90.0) ?? throw self::at($parser, 'has a point without a valid latitude (-90 to 90)');
        $this->lon = self::degrees($attributes['lon'] ?? '', 180.0) ?? throw self::at($parser, 'has a point without a valid longitude (-180 to 180)');
        $this->pointDepth = $this->depth;
        $this->time = '';
        if (! $this->segmentHasPoints) {
            $this->segmentHasPoints = true;
            $this->segment++;
        }
    }

    private function text(XMLParser $parser, string $text): void
    {
        $this->time .= $text;
    }

    private function close(XMLParser $parser, string $name): void
    {
        if ($this->depth === $this->pointDepth) {
            $this->ready[] = new TrackPoint($this->lat, $this->lon, $this->seconds($parser), $this->segment);
            $this->pointCount++;
            $this->pointDepth = null;
        } elseif ($this->depth === $this->segmentDepth) {
            $this->segmentDepth = null;
        }
        if ($this->inTime) {
            xml_set_character_data_handler($parser, null);
            $this->inTime = false;
        }
        $this->depth--;
    }

    private function seconds(XMLParser $parser): ?float
    {
        $text = trim($this->time);
        if ($text === '') {
            return null;
        }
        // Nearly every point has the shape 2026-03-29T07:40:05Z within the minute of the point before it.
        $second = substr($text, 17, 2);
        if (strlen($text) === 20 && $text[19] === 'Z' && strncmp($text, $this->minuteText, 17) === 0 && ctype_digit($second) && $second < 60) {
            return $this->minuteS + (float) $second;
        }
        try {
            $seconds = IsoTime::parse('file', $text)->unixSeconds;
            if ($text[16] === ':') {
                $this->minuteText = substr($text, 0, 17);
                $this->minuteS = IsoTime::parse('file', "{$this->minuteText}00Z")->unixSeconds;
            }

            return $seconds;
        } catch (InvalidInput $e) {
            throw self::at($parser, 'has a time that '.$e->getMessage());
        }
    }

    private static function localName(string $name): string
    {
        $colon = strpos($name, ':');

        return $colon === false ? $name : substr($name, $colon + 1);
    }

    private static function degrees(string $text, float $most): ?float
    {
        $degrees = is_numeric($text) ? (float) $text : INF;

        return abs($degrees) <= $most ? $degrees : null;
    }

    private static function broken(XMLParser $parser): InvalidInput
    {
        return self::at($parser, 'is not well-formed XML ('.xml_error_string(xml_get_error_code($parser)).'): the file is damaged or cut short; export it again');
    }

    private static function at(XMLParser $parser, string $what): InvalidInput
    {
        return new InvalidInput('file', 'line '.xml_get_current_line_number($parser).': '.$what);
    }
}
