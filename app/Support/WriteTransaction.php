<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * A transaction that says at its start that it will write. One that reads first and writes later fails at once when
 * another wrote in between; so declared, writers wait for each other. (PDO on PHP 8.2 cannot begin one as IMMEDIATE.)
 */
final class WriteTransaction
{
    /** What writers wait for where the database has no one lock of its own: any number that nobody else uses. */
    private const TURN = 0x44726970;

    /**
     * @template T
     *
     * @param Closure(): T $work
     *
     * @return T
     */
    public static function run(Closure $work): mixed
    {
        // What a person is told was saved is on the disk by then, whatever the power does; sessions and the cache need not be.
        $durable = DB::transactionLevel() === 0 && DB::getDriverName() === 'sqlite';
        $durable && DB::statement('pragma synchronous = full');
        try {
            return self::inside($work);
        } finally {
            $durable && DB::statement('pragma synchronous = normal');
        }
    }

    /**
     * @template T
     *
     * @param Closure(): T $work
     *
     * @return T
     */
    private static function inside(Closure $work): mixed
    {
        return DB::transaction(function () use ($work): mixed {
            self::takeTurn(DB::connection());

            return $work();
        });
    }

    /**
     * Does it and takes it back, whatever comes of it.
     *
     * @template T
     *
     * @param Closure(): T $work
     *
     * @return T
     */
    public static function takenBack(Closure $work): mixed
    {
        DB::beginTransaction();
        try {
            self::takeTurn(DB::connection());

            return $work();
        } finally {
            DB::rollBack();
        }
    }

    /** In a transaction, before anything is read in it, and held until it ends. */
    public static function takeTurn(Connection $database): void
    {
        if ($database->getDriverName() === 'pgsql') {
            $database->select('select pg_advisory_xact_lock(?)', [self::TURN]);

            return;
        }
        // No row is concerned, but the statement takes the write lock.
        $database
            ->table('workshops')
            ->where('id', 0)
            ->update(['revision' => 0]);
    }
}
