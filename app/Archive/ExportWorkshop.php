<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\PlainRows;
use App\Support\ReadTransaction;
use App\Weather\KeptRain;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Writes a workshop out: all of it as one JSON file, or one table as CSV. */
final readonly class ExportWorkshop
{
    /** What a spreadsheet would take for a formula at the start of a cell. */
    /** The signs, their full-width twins, and a tab or line end, at the start or behind white space. */
    private const FORMULA = '/^(?:[\t\r\n]|\s*[=+\-@\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}])/u';

    public function __construct(private AppClock $clock, private KeptRain $rain, private LedWork $ledWork) {}

    /** @return array<string, mixed> */
    public function file(Workshop $workshop): array
    {
        return ReadTransaction::run(
            DB::connection(),
            fn(): array => [
                'format' => WorkshopFile::FORMAT,
                'version' => WorkshopFile::VERSION,
                'exported_at' => $this->clock->now()->format(DATE_ATOM),
                'revision' => (int) Workshop::query()->whereKey($workshop->id)->value('revision'),
                'tables' => array_combine(
                    WorkshopFile::tables(),
                    array_map(fn(string $table) => $this->rows($workshop, $table), WorkshopFile::tables()),
                ),
                WorkshopFile::RAIN => $this->rain->all($workshop)->runs(),
                WorkshopFile::LED => $this->ledWork->of($workshop),
            ],
        );
    }

    /** @param resource $out */
    public function csv(Workshop $workshop, string $table, $out): void
    {
        $columns = array_values(array_diff(Schema::getColumnListing($table), ['workshop_id']));
        $rows = PlainRows::of($table);
        fwrite($out, "\u{feff}");
        fwrite($out, self::line([...$columns, ...in_array('at', $columns, true) ? ['at_utc'] : []]));
        foreach (self::query($workshop, $table)->cursor() as $row) {
            $values = $rows->plain($row);
            $cells = array_map(fn(string $column) => $values[$column], $columns);
            fwrite($out, self::line(isset($values['at']) ? [...$cells, gmdate('Y-m-d\TH:i:s\Z', $values['at'])] : $cells));
        }
    }

    /**
     * A row as text (RFC 4180): numbers stay numbers, every text stands in quotes, so that a separator in it begins no cell in any
     * country's spreadsheet; one that looks like a formula, behind spaces too, gets an apostrophe.
     *
     * @param list<mixed> $cells
     */
    public static function line(array $cells): string
    {
        return implode(
            ',',
            array_map(
                fn(mixed $cell): string => match (true) {
                    $cell === null => '',
                    is_int($cell), is_float($cell) => (string) $cell,
                    is_string($cell) && is_numeric($cell) && trim($cell) === $cell && $cell[0] !== '+' => $cell,
                    default => '"' . str_replace('"', '""', self::plain((string) $cell)) . '"',
                },
                $cells,
            ),
        ) . "\r\n";
    }

    private static function plain(string $text): string
    {
        return preg_match(self::FORMULA, $text) === 1 ? "'{$text}" : $text;
    }

    /** @return list<array<string, mixed>> */
    private function rows(Workshop $workshop, string $table): array
    {
        $people = $table === WorkshopFile::ACTIONS ? DB::table('users')->pluck('email', 'id') : collect();
        $names = $table === WorkshopFile::ACTIONS ? DB::table('users')->pluck('name', 'id') : collect();

        $rows = PlainRows::of($table);

        return array_values(
            self::query($workshop, $table)
                ->get()
                ->map(function (object $row) use ($table, $rows, $people, $names): array {
                    $values = array_diff_key($rows->plain($row), array_flip(WorkshopFile::NOT_IN_FILE));
                    foreach (WorkshopFile::JSON as $column) {
                        if (isset($values[$column])) {
                            $values[$column] = json_decode($values[$column], true);
                        }
                    }

                    return $table === WorkshopFile::ACTIONS
                        ? $values + [
                                'by' => ['name' => $names[$row->user_id] ?? $row->user_name, 'email' => $people[$row->user_id] ?? null],
                            ]
                        : $values;
                })
                ->all(),
        );
    }

    private static function query(Workshop $workshop, string $table): Builder
    {
        $rows = DB::table($table)->where('workshop_id', $workshop->id);
        foreach (WorkshopFile::order($table) as $column) {
            $rows->orderBy($column);
        }

        return $rows;
    }
}
