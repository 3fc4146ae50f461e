<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connection;

/** Reads many tables as they are at one instant, whoever writes meanwhile. SQLite always does; a server is told to. */
final class ReadTransaction
{
    /** How many are open where nothing is read or written yet: a test runs within one of its own. */
    public static int $outermost = 0;

    private static bool $runs = false;

    /** Whether all that is read now is of one instant, and nothing is written. */
    public static function runs(): bool
    {
        return self::$runs;
    }

    /**
     * @template T
     *
     * @param callable(): T $read
     *
     * @return T
     */
    public static function run(Connection $database, callable $read): mixed
    {
        // Within another one it is that one's to say.
        $outermost = $database->transactionLevel() <= self::$outermost;
        $tell = $database->getDriverName() === 'pgsql' && $database->transactionLevel() === 0;
        self::$runs = self::$runs || $outermost;
        try {
            return $database->transaction(function () use ($database, $tell, $read): mixed {
                $tell && $database->statement('set transaction isolation level repeatable read');

                return $read();
            });
        } finally {
            self::$runs = self::$runs && !$outermost;
        }
    }
}
