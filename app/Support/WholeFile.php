<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\File;

/** Files that are there whole or not at all, for their owner alone. */
final class WholeFile
{
    /** @throws NotWritten and nothing of it stays */
    public static function copy(string $from, string $to): void
    {
        self::write($to, fn(string $part): bool => @copy($from, $part) && filesize($part) === filesize($from));
    }

    /** @throws NotWritten and nothing of it stays */
    public static function put(string $to, string $text): void
    {
        self::write($to, fn(string $part): bool => @file_put_contents($part, $text) === strlen($text));
    }

    /** @param callable(string): bool $write */
    private static function write(string $to, callable $write): void
    {
        $part = dirname($to) . '/.' . basename($to) . '.part';
        try {
            File::isDirectory(dirname($to)) || @mkdir(dirname($to), 0o700, true) || throw self::because();
            $write($part) || throw self::because();
            chmod($part, 0o600);
            @rename($part, $to) || throw self::because();
        } finally {
            is_file($part) && unlink($part);
        }
    }

    private static function because(): NotWritten
    {
        return new NotWritten(error_get_last()['message'] ?? 'No space left on device');
    }
}
