<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connection;

/** Reads many tables as they are at one instant, whoever writes meanwhile. SQLite always does; a server is told to. */
final class ReadTransaction
{
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
        $tell = $database->getDriverName() === 'pgsql' && $database->transactionLevel() === 0;

        return $database->transaction(function () use ($database, $tell, $read): mixed {
            $tell && $database->statement('set transaction isolation level repeatable read');

            return $read();
        });
    }
}
