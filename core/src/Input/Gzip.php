<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

use InflateContext;
use RuntimeException;

/** A file that was packed by gzip: what is in it, unpacked piece by piece into a stream that is memory first and a file when it grows. */
final readonly class Gzip
{
    public const START = "\x1f\x8b\x08";

    private const CHUNK_BYTES = 65536;

    /**
     * @param resource $stream
     * @param int $mostBytes what unpacks to more is a bomb
     * @param string $start what was read of it already
     *
     * @return resource at its start
     *
     * @throws InvalidInput at `file` if it is damaged, cut short, unpacks to too much, or was packed twice: one may be in itself for ever
     */
    public static function unpacked($stream, int $mostBytes, string $start = '')
    {
        $into = fopen('php://temp/maxmemory:4194304', 'w+b') ?: throw new RuntimeException('No room for a temporary file.');
        [$inflate, $bytes, $chunk] = [self::inflate(), 0, $start];
        while ($chunk !== '' || ($chunk = (string) fread($stream, self::CHUNK_BYTES)) !== '') {
            if (inflate_get_status($inflate) === ZLIB_STREAM_END) {
                // Several may stand one behind the other; what else is behind the last is filling.
                if (!str_starts_with($chunk, self::START)) {
                    break;
                }
                $inflate = self::inflate();
            }
            $before = inflate_get_read_len($inflate);
            // What is no piece of it is a warning and false.
            $plain = @inflate_add($inflate, $chunk);
            $plain === false && throw new InvalidInput('file', 'is packed by gzip and damaged: copy it once more');
            $bytes += strlen($plain);
            $bytes > $mostBytes && throw new InvalidInput('file', 'unpacks to more than any ride is long: what is in it?');
            fwrite($into, $plain);
            $chunk = substr($chunk, inflate_get_read_len($inflate) - $before);
        }
        inflate_get_status($inflate) === ZLIB_STREAM_END ||
            throw new InvalidInput('file', 'is packed by gzip and cut short: copy it once more');
        rewind($into);
        if (fread($into, strlen(self::START)) === self::START) {
            throw new InvalidInput('file', 'is packed by gzip twice: unpack it once, then try again');
        }
        rewind($into);

        return $into;
    }

    private static function inflate(): InflateContext
    {
        return inflate_init(ZLIB_ENCODING_GZIP) ?: throw new RuntimeException('No memory to unpack a file.');
    }
}
