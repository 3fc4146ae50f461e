<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The keys of rows: numbers that the database counts up, or ids that whoever writes brings along. */
final class Keys
{
    private const DIGITS = 18;

    public static function fits(Model $model, mixed $key): bool
    {
        return $model->getKeyType() === 'string'
            ? is_string($key) && Str::isUuid($key)
            : is_int($key) || (is_string($key) && ctype_digit($key) && strlen($key) <= self::DIGITS);
    }

    /** Rows were written with their numbers: the database goes on counting after them. SQLite sees to it by itself. */
    public static function countOn(string $table, ?Connection $database = null): void
    {
        $database ??= DB::connection();
        if ($database->getDriverName() !== 'pgsql') {
            return;
        }
        $counter = $database->scalar('select pg_get_serial_sequence(?, ?)', [$table, 'id']);
        $counter === null ||
            $database->select('select setval(?::regclass, ?, false)', [$counter, 1 + (int) $database->table($table)->max('id')]);
    }
}
