<?php

declare(strict_types=1);

namespace App\Support;

use PDOException;
use Throwable;

/** Why nothing can be written at the moment. Reading goes on. */
enum DiskTrouble: string
{
    case Full = 'full';

    case ReadOnly = 'read_only';

    /** What SQLite and the file system say, in small letters; the first that fits. */
    private const SIGNS = [
        'database or disk is full' => self::Full,
        'no space left on device' => self::Full,
        'readonly database' => self::ReadOnly,
        'read-only file system' => self::ReadOnly,
        'unable to open database file' => self::ReadOnly,
        'disk i/o error' => self::Full,
    ];

    /** null: it is something else. */
    public static function in(Throwable $problem): ?self
    {
        for ($e = $problem; $e !== null; $e = $e->getPrevious()) {
            $text = mb_strtolower($e->getMessage());
            foreach ($e instanceof PDOException || $e instanceof NotWritten ? self::SIGNS : [] as $sign => $trouble) {
                if (str_contains($text, $sign)) {
                    return $trouble;
                }
            }
        }

        return null;
    }

    /** Writes what may be lost: what is kept to be quicker, when somebody was seen. */
    public static function mayFail(callable $write): void
    {
        try {
            $write();
        } catch (Throwable $e) {
            self::in($e) ?? throw $e;
        }
    }
}
