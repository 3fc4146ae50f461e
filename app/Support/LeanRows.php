<?php

declare(strict_types=1);

namespace App\Support;

use App\Kept\Reads;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOStatement;

/** Rows as lists, of a question that is written out: where a page asks a dozen of them, anything more costs as much as the answer. */
final class LeanRows
{
    /**
     * @param list<int|string> $bindings
     *
     * @return list<array<int, mixed>>
     */
    public static function all(string $sql, array $bindings): array
    {
        $rows = array_values(self::asked($sql, $bindings)->fetchAll(PDO::FETCH_NUM));
        Reads::note($sql, $bindings, $rows);

        return $rows;
    }

    /**
     * Of which there may be more than fit at once.
     *
     * @param list<int|string> $bindings
     *
     * @return iterable<array<int, mixed>>
     */
    public static function each(string $sql, array $bindings): iterable
    {
        Reads::tooMany();
        $statement = self::asked($sql, $bindings);
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield $row;
        }
    }

    /** @param list<int|string> $bindings */
    private static function asked(string $sql, array $bindings): PDOStatement
    {
        [$database, $beganS] = [DB::connection(), microtime(true)];
        $statement = $database->getPdo()->prepare($sql);
        $statement->execute($bindings);
        // As of any other: whoever counts what is asked counts these.
        $database->logQuery($sql, $bindings, 1000 * (microtime(true) - $beganS));

        return $statement;
    }
}
