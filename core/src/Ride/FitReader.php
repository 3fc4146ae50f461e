<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;
use Generator;

/**
 * FIT, the recording format of most bike computers: the points of its activities in order, each with its place or, ridden on the spot,
 * with how far the wheel says it is. A pause begins a segment anew. What is in neither is passed over, whoever added it. Source: the FIT
 * protocol, profile 21 (memory); files that Debian's gpsbabel writes, and fit-file-parser on the same files, in its tests.
 */
final class FitReader implements TrackReader
{
    private const CHUNK_BYTES = 65536;

    /** The first second of its time: 31 December 1989 UTC. */
    private const EPOCH_S = 631_065_600;

    private const FILE_ID = 0;

    private const SESSION = 18;

    private const RECORD = 20;

    private const EVENT = 21;

    /** Of a file: what it is for. */
    private const ACTIVITY = 4;

    /** Number of a field and bytes of it that are read, by message. All other messages are passed over. */
    private const WANTED = [
        self::FILE_ID => [0 => ['type', 1]],
        self::SESSION => [2 => ['start', 4], 8 => ['timer', 4], 9 => ['metres', 4], 253 => ['at', 4]],
        self::RECORD => [0 => ['lat', 4], 1 => ['lon', 4], 5 => ['metres', 4], 253 => ['at', 4]],
        self::EVENT => [0 => ['event', 1], 1 => ['what', 1], 253 => ['at', 4]],
    ];

    /** Events of the timer that stop it. */
    private const STOPS = [1, 4, 8, 9];

    private string $buffer = '';

    private int $offset = 0;

    /** How much of the file at hand was taken, its header and both checks among it. */
    private int $read = 0;

    private int $crc = 0;

    /** How far into the buffer the check sum goes. */
    private int $checked = 0;

    /** @var list<int> where the check sum goes by two bytes at once, made once: as many bits as it has itself, so that none is left */
    private static array $sums = [];

    /** @var array<int, array{int, int, string}> message, bytes and how the wanted fields are unpacked, by local number */
    private array $definitions = [];

    private ?int $lastS = null;

    private int $segment = -1;

    private bool $paused = true;

    private int $pointCount = 0;

    /** @var list<array{int, float, float}> start, seconds of its timer and metres of each session */
    private array $sessions = [];

    public function points($stream, string $start = ''): Generator
    {
        $this->buffer = $start;
        do {
            yield from $this->file($stream);
        } while ($this->fill($stream, 1));
        if ($this->pointCount === 0) {
            yield from $this->summed();
        }
        if ($this->pointCount === 0) {
            throw new InvalidInput('file', 'holds no recorded ride: neither where it went nor how far');
        }
    }

    /**
     * One of what may be several, one behind the other.
     *
     * @param resource $stream
     *
     * @return Generator<int, TrackPoint>
     */
    private function file($stream): Generator
    {
        [$this->definitions, $this->lastS, $this->crc, $this->read] = [[], null, 0, 0];
        $header = $this->header($stream);
        $end = $header[0] + $header[1];
        while ($this->read < $end) {
            $point = $this->message($stream, $end);
            if ($point !== null) {
                $this->pointCount++;
                yield $point;
            }
        }
        $this->read > $end && throw self::damaged('its last message is longer than its header says');
        $this->fill($stream, 2) || throw self::damaged('its check sum is missing');
        $this->take(2);
        $this->check();
        if ($this->checked < $this->offset) {
            $last = ord($this->buffer[$this->checked++]);
            $this->crc = ($this->crc >> 8) ^ self::sumOf((($this->crc ^ $last) & 0xff) << 8);
        }
        $this->crc === 0 || throw self::damaged('its check sum is another one');
    }

    /**
     * @param resource $stream
     *
     * @return array{int, int} bytes of the header and of what follows
     */
    private function header($stream): array
    {
        $this->fill($stream, 12) || throw self::damaged('it ends within its header');
        $size = ord($this->buffer[$this->offset]);
        (($size === 12 || $size === 14) && substr($this->buffer, $this->offset + 8, 4) === '.FIT') ||
            throw self::damaged(
                $this->segment === -1 && $this->pointCount === 0 ? 'its header is none' : 'something else is behind its ride',
            );
        $this->fill($stream, $size) || throw self::damaged('it ends within its header');
        /** @var array{bytes: int} */
        $fields = unpack('Vbytes', $this->buffer, $this->offset + 4);
        $fields['bytes'] > self::MOST_BYTES && throw self::damaged('it says that it is larger than any ride');
        $fields['bytes'] === 0 &&
            throw new InvalidInput('file', 'was never finished by its recorder: save the activity there, and copy it once more');
        $this->take($size);

        return [$size, $fields['bytes']];
    }

    /** @param resource $stream */
    private function message($stream, int $end): ?TrackPoint
    {
        $this->fill($stream, 1) || throw $this->cut($end);
        $head = ord($this->buffer[$this->offset]);
        if (($head & 0xc0) === 0x40) {
            $this->define($stream, $head, $end);

            return null;
        }
        $compressed = ($head & 0x80) !== 0;
        [$message, $bytes, $how] =
            $this->definitions[$compressed ? ($head >> 5) & 3 : $head & 15] ??
            throw self::damaged('a message comes before what describes it');
        $this->fill($stream, 1 + $bytes) || throw $this->cut($end);
        /** @var array<string, int> */
        $fields = $how === '' ? [] : (unpack($how, $this->buffer, $this->offset + 1) ?: []);
        $this->take(1 + $bytes);
        if ($compressed) {
            // Five bits of the time, counted on from the last one that was whole.
            $this->lastS === null || ($this->lastS += (($head & 0x1f) - $this->lastS) & 0x1f);
        } elseif (isset($fields['at']) && $fields['at'] !== 0xffffffff) {
            $this->lastS = $fields['at'];
        }

        return match ($message) {
            self::RECORD => $this->point($fields),
            default => $this->note($message, $fields),
        };
    }

    /** @param resource $stream */
    private function define($stream, int $head, int $end): void
    {
        $this->fill($stream, 6) || throw $this->cut($end);
        $big = ord($this->buffer[$this->offset + 2]) === 1;
        /** @var array{message: int, count: int} */
        $what = unpack($big ? 'nmessage/Ccount' : 'vmessage/Ccount', $this->buffer, $this->offset + 3);
        $length = 6 + 3 * $what['count'];
        $ofDevelopers = ($head & 0x20) !== 0;
        $this->fill($stream, $length + ($ofDevelopers ? 1 : 0)) || throw $this->cut($end);
        $more = $ofDevelopers ? ord($this->buffer[$this->offset + $length]) : 0;
        $all = $length + ($ofDevelopers ? 1 + 3 * $more : 0);
        $this->fill($stream, $all) || throw $this->cut($end);
        [$bytes, $skipped, $how] = [0, 0, []];
        for ($i = 0; $i < $what['count']; $i++) {
            $at = $this->offset + 6 + 3 * $i;
            [$number, $size] = [ord($this->buffer[$at]), ord($this->buffer[$at + 1])];
            [$name, $wanted] = self::WANTED[$what['message']][$number] ?? ['', 0];
            if ($name !== '' && $size === $wanted) {
                $skipped > 0 && ($how[] = "x{$skipped}");
                $how[] = ($size === 1 ? 'C' : ($big ? 'N' : 'V')) . $name;
                $skipped = 0;
            } else {
                $skipped += $size;
            }
            $bytes += $size;
        }
        for ($i = 0; $i < $more; $i++) {
            $bytes += ord($this->buffer[$this->offset + $length + 2 + 3 * $i]);
        }
        $named = array_filter($how, fn(string $part) => $part[0] !== 'x');
        $this->definitions[$head & 15] = [$what['message'], $bytes, $named === [] ? '' : implode('/', $how)];
        $this->take($all);
    }

    /** @param array<string, int> $fields of a record */
    private function point(array $fields): ?TrackPoint
    {
        $metres = ($fields['metres'] ?? 0xffffffff) === 0xffffffff ? null : $fields['metres'] / 100;
        $lat = self::degrees($fields['lat'] ?? 0x7fffffff);
        $lon = self::degrees($fields['lon'] ?? 0x7fffffff);
        if ($lat === null || $lon === null) {
            [$lat, $lon] = [null, null];
        } elseif (abs($lat) > 90.0) {
            throw self::damaged('it has a point at a latitude that is none');
        }
        if ($lat === null && $metres === null) {
            return null;
        }
        if ($this->paused) {
            $this->segment++;
            $this->paused = false;
        }

        return new TrackPoint($lat, $lon, $this->lastS === null ? null : (float) (self::EPOCH_S + $this->lastS), $this->segment, $metres);
    }

    /** @param array<string, int> $fields */
    private function note(int $message, array $fields): null
    {
        if ($message === self::FILE_ID && ($fields['type'] ?? self::ACTIVITY) !== self::ACTIVITY) {
            throw new InvalidInput('file', 'is a course, a workout or settings, no ride: export the activity');
        }
        if ($message === self::EVENT && ($fields['event'] ?? 1) === 0 && in_array($fields['what'] ?? -1, self::STOPS, true)) {
            $this->paused = true;
        }
        $isKnown = fn(string $name): bool => ($fields[$name] ?? 0xffffffff) !== 0xffffffff;
        if ($message === self::SESSION && $isKnown('start') && $isKnown('timer') && $isKnown('metres')) {
            $this->sessions[] = [self::EPOCH_S + $fields['start'], $fields['timer'] / 1000, $fields['metres'] / 100];
        }

        return null;
    }

    /**
     * What was recorded as sums alone.
     *
     * @return Generator<int, TrackPoint>
     */
    private function summed(): Generator
    {
        foreach ($this->sessions as [$startS, $seconds, $metres]) {
            $this->segment++;
            $this->pointCount += 2;
            yield new TrackPoint(null, null, (float) $startS, $this->segment, 0.0);
            yield new TrackPoint(null, null, $startS + $seconds, $this->segment, $metres);
        }
    }

    /** Degrees of what comes in 2^31ths of half a circle; null: unknown. */
    private static function degrees(int $semicircles): ?float
    {
        return $semicircles === 0x7fffffff || $semicircles === 0xffffffff
            ? null
            : (($semicircles >= 2 ** 31 ? $semicircles - 2 ** 32 : $semicircles) * 180.0) / 2 ** 31;
    }

    /**
     * Whether so many bytes are at hand.
     *
     * @param resource $stream
     */
    private function fill($stream, int $bytes): bool
    {
        while (strlen($this->buffer) - $this->offset < $bytes) {
            $chunk = fread($stream, self::CHUNK_BYTES);
            if ($chunk === false || $chunk === '') {
                return false;
            }
            $this->check();
            $this->buffer = substr($this->buffer, $this->checked) . $chunk;
            [$this->offset, $this->checked] = [$this->offset - $this->checked, 0];
        }

        return true;
    }

    /** Goes on behind so many bytes. */
    private function take(int $bytes): void
    {
        $this->offset += $bytes;
        $this->read += $bytes;
    }

    /** Brings the check sum up to what was taken, two bytes at a time; an odd one waits for the next. */
    private function check(): void
    {
        $sums = self::$sums === [] ? (self::$sums = array_map(self::sumOf(...), range(0, 0xffff))) : self::$sums;
        $crc = $this->crc;
        /** @var array<int> $words */
        $words = unpack('v*', substr($this->buffer, $this->checked, ($this->offset - $this->checked) & ~1)) ?: [];
        foreach ($words as $word) {
            $crc = $sums[$crc ^ $word];
        }
        $this->crc = $crc;
        $this->checked += 2 * count($words);
    }

    private static function sumOf(int $bits): int
    {
        for ($bit = 0; $bit < 16; $bit++) {
            $bits = ($bits & 1) === 1 ? ($bits >> 1) ^ 0xa001 : $bits >> 1;
        }

        return $bits;
    }

    private function cut(int $end): InvalidInput
    {
        $left = $end - $this->read - strlen($this->buffer) + $this->offset;

        return new InvalidInput('file', "is cut short, {$left} bytes before its ride is over: copy it from the recorder once more");
    }

    private static function damaged(string $why): InvalidInput
    {
        return new InvalidInput('file', "is a damaged FIT file, {$why}: copy it from the recorder once more, or export the ride as GPX");
    }
}
