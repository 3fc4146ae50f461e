<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Workshop;
use App\Support\AppClock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Writes a workshop out: all of it as one JSON file, or one table as CSV. */
final readonly class ExportWorkshop
{
    /** What a spreadsheet would take for a formula at the start of a cell. */
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r", "\n"];

    public function __construct(private AppClock $clock) {}

    /** @return array<string, mixed> */
    public function file(Workshop $workshop): array
    {
        return DB::transaction(
            fn(): array => [
                'format' => WorkshopFile::FORMAT,
                'version' => WorkshopFile::VERSION,
                'exported_at' => $this->clock->now()->format(DATE_ATOM),
                'revision' => (int) Workshop::query()->whereKey($workshop->id)->value('revision'),
                'tables' => array_combine(
                    WorkshopFile::tables(),
                    array_map(fn(string $table) => $this->rows($workshop, $table), WorkshopFile::tables()),
                ),
            ],
        );
    }

    /** @param resource $out */
    public function csv(Workshop $workshop, string $table, $out): void
    {
        $columns = array_values(array_diff(Schema::getColumnListing($table), ['workshop_id']));
        fwrite($out, "\u{feff}");
        fputcsv($out, [...$columns, ...in_array('at', $columns, true) ? ['at_utc'] : []], ',', '"', '');
        foreach (self::query($workshop, $table)->cursor() as $row) {
            $cells = array_map(fn(string $column) => self::cell($row->{$column}), $columns);
            fputcsv($out, isset($row->at) ? [...$cells, gmdate('Y-m-d\TH:i:s\Z', $row->at)] : $cells, ',', '"', '');
        }
    }

    /** A cell that no spreadsheet runs: numbers stay numbers, text that looks like a formula gets an apostrophe. */
    public static function cell(mixed $value): string|int|float|null
    {
        return is_string($value) && $value !== '' && !is_numeric($value) && in_array($value[0], self::FORMULA, true) ? "'{$value}" : $value;
    }

    /** @return list<array<string, mixed>> */
    private function rows(Workshop $workshop, string $table): array
    {
        $people = $table === WorkshopFile::ACTIONS ? DB::table('users')->pluck('email', 'id') : collect();
        $names = $table === WorkshopFile::ACTIONS ? DB::table('users')->pluck('name', 'id') : collect();

        return array_values(
            self::query($workshop, $table)
                ->get()
                ->map(function (object $row) use ($table, $people, $names): array {
                    $values = array_diff_key((array) $row, array_flip(WorkshopFile::NOT_IN_FILE));
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
        return DB::table($table)
            ->where('workshop_id', $workshop->id)
            ->orderBy($table === WorkshopFile::ACTIONS ? 'revision' : 'id');
    }
}
