<?php

declare(strict_types=1);

namespace App\Archive;

use App\Support\Keys;
use App\Support\PlainRows;
use App\Support\ReadTransaction;
use App\Support\WriteTransaction;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** Every row of an installation from one database into another, whatever the two are: all of them or none. */
final readonly class CopyDatabase
{
    /** What is kept to be quicker, and which migrations ran: the other database knows that by itself. */
    private const LEFT_OUT = ['cache', 'cache_locks', 'migrations'];

    private const AT_ONCE = 200;

    private const READ_AT_ONCE = 2000;

    /** The name of the connection to a file that is open for a while only. */
    private const FILE = 'copy';

    /** A file of SQLite, brought up to date. It is copied once more before anybody relies on it: until then nothing is waited for. */
    public static function file(string $path): Connection
    {
        is_file($path) || touch($path);
        config([
            'database.connections.' . self::FILE =>
                ['database' => $path, 'journal_mode' => 'memory', 'synchronous' => 'off'] + config()->array('database.connections.sqlite'),
        ]);
        DB::purge(self::FILE);
        Artisan::call('migrate', ['--database' => self::FILE, '--force' => true]);

        return DB::connection(self::FILE);
    }

    public static function close(Connection $connection): void
    {
        DB::purge($connection->getName());
    }

    /**
     * @return array<string, int> how many rows, by table
     *
     * @throws RuntimeException if the two are not of the same version; nothing is changed then
     */
    public function __invoke(Connection $from, Connection $to): array
    {
        self::migrations($from) === self::migrations($to) ||
            throw new RuntimeException('The two databases are of different versions. Run dripel:migrate on both, then try again.');

        return ReadTransaction::run(
            $from,
            fn() => $to->transaction(function () use ($from, $to): array {
                WriteTransaction::takeTurn($to);
                $tables = self::inOrder($to);
                self::clear($to, $tables);

                return array_combine($tables, array_map(fn(string $table) => self::copy($from, $to, $table), $tables));
            }),
        );
    }

    /** @return list<string> */
    private static function migrations(Connection $connection): array
    {
        return array_values($connection->table('migrations')->orderBy('migration')->pluck('migration')->all());
    }

    /** @return list<string> each after those that its rows point to */
    private static function inOrder(Connection $connection): array
    {
        $schema = $connection->getSchemaBuilder();
        $pointsTo = [];
        foreach ($schema->getTables() as $table) {
            in_array($table['name'], self::LEFT_OUT, true) ||
                ($pointsTo[$table['name']] = array_column($schema->getForeignKeys($table['name']), 'foreign_table'));
        }
        ksort($pointsTo);
        $ordered = [];
        while ($pointsTo !== []) {
            $ready = array_keys(
                array_filter(
                    $pointsTo,
                    fn(array $others, string $table) => array_diff($others, $ordered, [$table]) === [],
                    ARRAY_FILTER_USE_BOTH,
                ),
            );
            $ready !== [] || throw new RuntimeException('Tables point to each other in a circle: ' . implode(', ', array_keys($pointsTo)));
            array_push($ordered, ...$ready);
            $pointsTo = array_diff_key($pointsTo, array_flip($ready));
        }

        return $ordered;
    }

    /** @return list<string> columns that point to other rows of the same table */
    private static function toItself(Connection $connection, string $table): array
    {
        $keys = array_filter($connection->getSchemaBuilder()->getForeignKeys($table), fn(array $key) => $key['foreign_table'] === $table);

        return array_values(array_merge(...array_column($keys, 'columns')));
    }

    /** @param list<string> $tables in the order of inOrder */
    private static function clear(Connection $to, array $tables): void
    {
        if ($to->getDriverName() === 'pgsql') {
            // Row by row it would look for whoever points to each.
            $to->statement('truncate table ' . implode(', ', array_map(fn(string $table) => "\"{$table}\"", $tables)));

            return;
        }
        foreach (array_reverse($tables) as $table) {
            foreach (self::toItself($to, $table) as $column) {
                $to->table($table)
                    ->whereNotNull($column)
                    ->update([$column => null]);
            }
            $to->table($table)->delete();
        }
    }

    private static function copy(Connection $from, Connection $to, string $table): int
    {
        [$rows, $itself, $later, $count] = [PlainRows::of($table, $from->getName()), self::toItself($to, $table), [], 0];
        foreach ($from->table($table)->lazyById(self::READ_AT_ONCE)->chunk(self::AT_ONCE) as $chunk) {
            $values = [];
            foreach ($chunk as $row) {
                $plain = $rows->plain($row);
                foreach ($itself as $column) {
                    $plain[$column] === null || ($later[$column][$plain['id']] = $plain[$column]);
                    $plain[$column] = null;
                }
                $values[] = $plain;
            }
            $to->table($table)->insert($values);
            $count += count($values);
        }
        foreach ($later as $column => $pointers) {
            foreach ($pointers as $id => $pointer) {
                $to->table($table)
                    ->where('id', $id)
                    ->update([$column => $pointer]);
            }
        }
        Keys::countOn($table, $to);

        return $count;
    }
}
