<?php

declare(strict_types=1);

namespace App\Kept;

use Closure;
use Illuminate\Database\Connection;

/**
 * What was read of the database while something was made, each question with what was answered. Whether it would be made the same now is
 * asked of the database itself: nobody who writes has to know of it.
 */
final class Reads
{
    /** Whatever reads more works everything out: asking for all of that again would cost as much. */
    private const MOST_ROWS = 2_000;

    private static ?self $noted = null;

    /** @var list<array{string, array<mixed>, string}> the question, what it asks for, a hash of the answer */
    private array $all = [];

    private int $rows = 0;

    private function __construct() {}

    /**
     * @template T
     *
     * @param Closure(): T $make
     *
     * @return array{T, self|null} what was made, and of what; null: it cannot be asked again
     */
    public static function of(Closure $make): array
    {
        $database = self::connection();
        $database->forgetRecordModificationState();
        self::$noted = $reads = new self();
        try {
            $made = $make();
        } finally {
            self::$noted = null;
        }

        return [$made, $reads->rows > self::MOST_ROWS || $database->hasModifiedRecords() ? null : $reads];
    }

    /**
     * What follows from other things that were read, and was worked out before, is not read anew to see whether those are the same; and who
     * keeps what was worked out now has written nothing that a page says.
     *
     * @template T
     *
     * @param Closure(): T $work
     *
     * @return T
     */
    public static function aside(Closure $work): mixed
    {
        [$noted, self::$noted] = [self::$noted, null];
        $modified = self::connection()->hasModifiedRecords();
        try {
            return $work();
        } finally {
            self::$noted = $noted;
            self::connection()->setRecordModificationState($modified);
        }
    }

    /**
     * @param array<mixed> $bindings
     * @param array<mixed> $rows
     */
    public static function note(string $sql, array $bindings, array $rows): void
    {
        if (self::$noted === null) {
            return;
        }
        self::$noted->rows += count($rows);
        if (self::$noted->rows <= self::MOST_ROWS) {
            self::$noted->all[] = [$sql, $bindings, self::hash($rows)];
        }
    }

    public static function tooMany(): void
    {
        self::$noted === null || (self::$noted->rows = self::MOST_ROWS + 1);
    }

    /** Whether all of it is answered the same now. */
    public function areTheSame(): bool
    {
        foreach ($this->all as [$sql, $bindings, $hash]) {
            if (self::hash(self::connection()->select($sql, $bindings)) !== $hash) {
                return false;
            }
        }

        return true;
    }

    /** @param array<mixed> $rows each an object or a list of its values */
    private static function hash(array $rows): string
    {
        return hash('xxh128', serialize(array_map(fn(mixed $row) => array_values((array) $row), $rows)));
    }

    private static function connection(): Connection
    {
        return app('db')->connection();
    }
}
