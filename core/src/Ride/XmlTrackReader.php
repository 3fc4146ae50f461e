<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Closure;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Input\IsoTime;
use Generator;
use XMLParser;

/**
 * What ride files in XML have in common: read piece by piece, an element at a time. A document type declaration is refused
 * before the parser sees it, so no entity is ever expanded or fetched.
 */
abstract class XmlTrackReader implements TrackReader
{
    private const CHUNK_BYTES = 65536;

    /** A declaration must stand before the root element; no honest prolog is longer than this. */
    private const PROLOG_BYTES = 65536;

    /** No tag of a ride file is longer; the time that a parser takes over the attributes of one grows with their square. */
    private const LONGEST_TAG_BYTES = 65536;

    /** Encodings in which `<` is the byte that is looked for here. */
    private const ENCODINGS = '/^(utf-?8|utf-?16(le|be)?|us-ascii|ascii|iso-8859-\d{1,2}|windows-125\d)$/i';

    private int $sinceTag = 0;

    private string $prolog = '';

    private bool $rootSeen = false;

    private string $minuteText = '-';

    private float $minuteS = 0.0;

    private ?Closure $textHandler = null;

    protected bool $listening = false;

    protected string $text = '';

    protected int $depth = 0;

    protected int $segment = -1;

    protected int $pointCount = 0;

    /** @var list<TrackPoint> */
    protected array $ready = [];

    final public function __construct() {}

    /** @param string $start what was read of it already: a file in an archive cannot be rewound */
    public function points($stream, string $start = ''): Generator
    {
        return (new static())->read($stream, $start);
    }

    /** @param array<string, string> $attributes */
    abstract protected function open(XMLParser $parser, string $name, array $attributes): void;

    abstract protected function close(XMLParser $parser, string $name): void;

    /** A piece of the file without what would only take time. */
    protected function lighten(string $chunk): string
    {
        return $chunk;
    }

    /** Why there is no point in it. */
    abstract protected function nothing(): string;

    /**
     * @param resource $stream
     *
     * @return Generator<int, TrackPoint>
     */
    private function read($stream, string $start): Generator
    {
        $parser = xml_parser_create();
        xml_parser_set_option($parser, XML_OPTION_CASE_FOLDING, 0);
        xml_set_element_handler($parser, $this->open(...), $this->close(...));
        [$empty, $bytes, $given] = [true, 0, 0];
        do {
            $chunk = $start . fread($stream, self::CHUNK_BYTES);
            $start = '';
            $last = feof($stream);
            $bytes += strlen($chunk);
            if ($bytes > self::MOST_BYTES) {
                throw new InvalidInput('file', 'is larger than 256 MB: no ride is; export it again with fewer points');
            }
            $empty = $empty && trim($chunk) === '';
            if ($empty && $last) {
                throw new InvalidInput('file', 'is empty: export the ride again as GPX');
            }
            $this->refuseDeclaration($chunk);
            $this->refuseLongTag($chunk);
            $chunk = $this->lighten($chunk);
            $given += strlen($chunk);
            if (!self::parse($parser, $chunk, $last)) {
                throw $this->broken($parser, $given);
            }
            yield from $this->ready;
            $this->ready = [];
        } while (!$last);
        if ($this->pointCount === 0) {
            throw new InvalidInput('file', $this->nothing());
        }
    }

    /** What is no letter of its encoding is a warning besides, of which nobody wants to hear. */
    private static function parse(XMLParser $parser, string $chunk, bool $last): bool
    {
        $told = libxml_use_internal_errors(true);
        try {
            return xml_parse($parser, $chunk, $last) === 1;
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($told);
        }
    }

    private function refuseDeclaration(string $chunk): void
    {
        if ($this->rootSeen) {
            return;
        }
        if (strlen($this->prolog) > self::PROLOG_BYTES) {
            throw new InvalidInput('file', 'has more than 64 kB ahead of its first element, which no ride file has; it is not read');
        }
        $this->prolog .= $chunk;
        // NULs are dropped so that a wide encoding does not hide it.
        $start = str_replace("\0", '', $this->prolog);
        if (
            preg_match('/^[^<]*<\?xml[^>]*\sencoding\s*=\s*["\']([^"\'>]*)/i', $start, $named) === 1 &&
            preg_match(self::ENCODINGS, $named[1]) !== 1
        ) {
            throw new InvalidInput('file', "line 1: is in the encoding {$named[1]}: export the ride again in UTF-8");
        }
        if (stripos($start, '<!DOCTYPE') !== false || stripos($start, '<!ENTITY') !== false) {
            $line = 1 + substr_count(strtoupper(substr($start, 0, (int) stripos($start, '<!'))), "\n");
            throw new InvalidInput('file', "line {$line}: has a document type declaration, which a ride file never needs; it is not read");
        }
    }

    /** `<` stands in no attribute, so a tag cannot be longer than what is between two of them. */
    private function refuseLongTag(string $chunk): void
    {
        $first = strpos($chunk, '<');
        if ($this->sinceTag + ($first === false ? strlen($chunk) : $first) > self::LONGEST_TAG_BYTES) {
            throw new InvalidInput('file', 'has a tag or a text longer than 64 kB, which no ride file has; it is not read');
        }
        $this->sinceTag = $first === false ? $this->sinceTag + strlen($chunk) : strlen($chunk) - (int) strrpos($chunk, '<');
    }

    /** Whether this is the outermost element; it must be the one that the format has. */
    protected function isRoot(XMLParser $parser, string $name, string $wanted, string $format): bool
    {
        if ($this->rootSeen) {
            return false;
        }
        if ($name !== $wanted) {
            throw self::at($parser, "is not a {$format} file: its outermost element is <{$name}>");
        }
        $this->rootSeen = true;
        $this->prolog = '';

        return true;
    }

    /** From here to the end of the element its text is of interest; asking for all of it costs a call for every piece of white space. */
    protected function listen(XMLParser $parser): void
    {
        $this->text = '';
        $this->textHandler ??= function (XMLParser $parser, string $text): void {
            $this->text .= $text;
        };
        xml_set_character_data_handler($parser, $this->textHandler);
        $this->listening = true;
    }

    protected function stopListening(XMLParser $parser): void
    {
        xml_set_character_data_handler($parser, null);
        $this->listening = false;
    }

    protected function seconds(XMLParser $parser, string $text): ?float
    {
        $text = trim($text);
        if ($text === '') {
            return null;
        }
        // Nearly every point has the shape 2026-03-29T07:40:05Z within the minute of the point before it.
        $second = substr($text, 17, 2);
        if (
            strlen($text) === 20 &&
            $text[19] === 'Z' &&
            strncmp($text, $this->minuteText, 17) === 0 &&
            ctype_digit($second) &&
            $second < 60
        ) {
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
            throw self::at($parser, 'has a time that ' . $e->getMessage());
        }
    }

    protected static function latitude(XMLParser $parser, string $text): float
    {
        return self::degrees($text, 90.0) ?? throw self::at($parser, 'has a point without a valid latitude (-90 to 90)');
    }

    protected static function longitude(XMLParser $parser, string $text): float
    {
        return self::degrees($text, 180.0) ?? throw self::at($parser, 'has a point without a valid longitude (-180 to 180)');
    }

    protected static function localName(string $name): string
    {
        $colon = strpos($name, ':');

        return $colon === false ? $name : substr($name, $colon + 1);
    }

    protected static function at(XMLParser $parser, string $what): InvalidInput
    {
        return new InvalidInput('file', 'line ' . xml_get_current_line_number($parser) . ': ' . $what);
    }

    private static function degrees(string $text, float $most): ?float
    {
        $degrees = is_numeric($text) ? (float) $text : INF;

        return abs($degrees) <= $most ? $degrees : null;
    }

    private function broken(XMLParser $parser, int $bytes): InvalidInput
    {
        return self::at(
            $parser,
            match (true) {
                !$this->rootSeen => 'no ride file begins like this: export the ride as GPX or TCX',
                xml_get_current_byte_index($parser) >= $bytes
                    => 'breaks off here, before the ride is over: it was cut short; copy or export it again',
                default => 'cannot be read from here on: the file is damaged; export it again',
            },
        );
    }
}
