<?php

declare(strict_types=1);

namespace Bench;

use PDO;

/** Copies of the one workshop of a file beside it, until the installation has so many: each has its own bikes, entries and actions. */
final readonly class ManyWorkshops
{
    /** Between the ids of one workshop and those of the next. */
    private const APART = 100_000;

    /** Tables of people and their browsers, who are not copied. */
    private const OF_PEOPLE = ['users', 'memberships', 'invitations', 'sessions'];

    /** Columns that hold the number of another row of the same workshop, and those that hold its id. */
    private const NUMBERS = ['bike_id', 'component_id', 'into_id', 'pot_id', 'bottle_id', 'instrument_id', 'replaces_id'];

    private const IDS = ['id', 'action_id', 'voided_by', 'reverted_by', 'job_id'];

    private PDO $file;

    public function __construct(string $path, private int $count)
    {
        $this->file = new PDO("sqlite:{$path}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->file->exec('pragma synchronous = off');
    }

    /** @return int rows that were added */
    public function __invoke(): int
    {
        $this->file->exec('begin');
        $added = $this->copy('workshops', ['id' => 'w.id + n.n'], 'w.id = 1');
        foreach ($this->names("select name from sqlite_master where type = 'table'") as $table) {
            $columns = $this->names("select name from pragma_table_info('{$table}')");
            if (in_array('workshop_id', $columns, true) && !in_array($table, self::OF_PEOPLE, true)) {
                $added += $this->copy(
                    $table,
                    array_filter(array_combine($columns, array_map(self::other(...), $columns))),
                    'w.workshop_id = 1',
                );
            }
        }
        $this->file->exec('commit');

        return $added;
    }

    /** What a column holds in the copy; null: the same. */
    private static function other(string $column): ?string
    {
        return match (true) {
            $column === 'workshop_id' => 'w.workshop_id + n.n',
            $column === 'user_id' => 'null',
            in_array($column, self::NUMBERS, true) => "w.{$column} + n.n * " . self::APART,
            in_array($column, self::IDS, true) => "case typeof(w.{$column}) when 'integer' then w.{$column} + n.n * " .
                self::APART .
                " when 'text' then printf('%08x', n.n) || substr(w.{$column}, 9) end",
            default => null,
        };
    }

    /** @param array<string, string> $other */
    private function copy(string $table, array $other, string $which): int
    {
        $columns = $this->names("select name from pragma_table_info('{$table}')");
        $values = array_map(fn(string $column) => $other[$column] ?? "w.\"{$column}\"", $columns);

        return (int) $this->file->exec(
            sprintf(
                'with recursive n(n) as (select 1 union all select n + 1 from n where n < %d) insert into "%s" ("%s") select %s from "%s" w, n where %s',
                $this->count - 1,
                $table,
                implode('", "', $columns),
                implode(', ', $values),
                $table,
                $which,
            ),
        );
    }

    /** @return list<string> */
    private function names(string $query): array
    {
        $found = $this->file->query($query);

        return $found === false ? [] : array_map(strval(...), $found->fetchAll(PDO::FETCH_COLUMN));
    }
}
