<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Cache\DatabaseStore;
use Illuminate\Database\Connection;

/**
 * The cache in the database, which counts requests, too. A count is read and then written: in SQLite that fails at once where another wrote
 * in between, and whoever was counted would be told of an error. So it says at its start that it will write (WriteTransaction).
 */
final class CountingStore extends DatabaseStore
{
    protected function incrementOrDecrement($key, $value, Closure $callback)
    {
        $database = $this->connection;

        return $database->transaction(function () use ($database, $key, $value, $callback): int|false {
            $database instanceof Connection && $database->getDriverName() === 'sqlite' && WriteTransaction::takeTurn($database);

            return parent::incrementOrDecrement($key, $value, $callback);
        });
    }
}
