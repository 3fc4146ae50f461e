<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\EntryType;

/**
 * The file of a whole workshop, described in docs/workshop-file.md: its actions and every row of the logbook, those
 * that were taken back among them, so that figures, history and undo come back as they were.
 */
final class WorkshopFile
{
    public const FORMAT = 'dripel-workshop';

    /** Rises when a table or column changes its meaning; files of older versions must stay readable. */
    public const VERSION = 10;

    /** Before this version lists among the settings are texts. */
    public const LISTS_SINCE = 6;

    /** Tables that files of earlier versions do not have yet, by the version that brought them. */
    private const TABLES_SINCE = [
        2 => ['jar_entries', 'baths', 'bath_entries', 'prices', 'protocols'],
        4 => ['cares', 'planned_rides'],
        6 => ['brushings'],
        7 => ['oilings'],
        9 => [self::RAIN],
        10 => [self::LED],
    ];

    /** Columns likewise, with what they mean in earlier files. */
    private const COLUMNS_SINCE = [
        2 => ['dips' => ['pot_id' => null, 'pickup_g' => null, 'rinsed' => 0]],
        3 => ['dips' => ['temp_c' => null, 'soak_s' => null, 'powder' => 0]],
        4 => ['topups' => ['ml' => null, 'bottle_id' => null]],
        5 => ['dips' => ['partly' => 0]],
        8 => ['dips' => ['link_in' => 0]],
    ];

    /** Columns whose text is JSON and stands in the file as such. */
    public const JSON = ['about', 'effects', 'value', 'input', 'weekdays', 'steps'];

    public const ACTIONS = 'actions';

    /** Rain from tables, beside the tables of the file as runs of hours. */
    public const RAIN = 'rain';

    /** Work that was led to its end, likewise beside the tables. */
    public const LED = 'led_work';

    /** What was measured and tapped beside the logbook, by what its rows go by in time: each is to be had as CSV. */
    private const BESIDE = [
        'guided_jobs' => ['started_at', 'id'],
        'guided_taps' => ['received_at', 'job_id', 'number'],
        'temperatures' => ['at', 'id'],
        'gauge_values' => ['received_at', 'id'],
        'rain_hours' => ['at'],
    ];

    /** @return list<string> in the order in which their rows can be written; each speaks only of those before it */
    public static function tables(): array
    {
        return [self::ACTIONS, ...array_map(fn(EntryType $type) => $type->value, EntryType::cases())];
    }

    /** @return list<string> those that are to be had as CSV: what is in the file, and what stands beside the logbook */
    public static function asCsv(): array
    {
        return [...self::tables(), ...array_keys(self::BESIDE)];
    }

    /** @return non-empty-list<string> the columns by which the rows of a table are in order of time */
    public static function order(string $table): array
    {
        return self::BESIDE[$table] ?? [$table === self::ACTIONS ? 'revision' : 'id'];
    }

    /** Columns that belong to this installation and not to the file. */
    public const NOT_IN_FILE = ['workshop_id', 'user_id', 'user_name', 'sent'];

    public static function mayLack(int $version, string $table): bool
    {
        return in_array(
            $table,
            array_merge(...array_values(array_filter(self::TABLES_SINCE, fn(int $since) => $since > $version, ARRAY_FILTER_USE_KEY))),
            true,
        );
    }

    /** @return array<string, int|null> what a row of a file of this version does not say yet */
    public static function unsaid(int $version, string $table): array
    {
        return array_merge(
            ...array_values(
                array_map(
                    fn(array $columns) => $columns[$table] ?? [],
                    array_filter(self::COLUMNS_SINCE, fn(int $since) => $since > $version, ARRAY_FILTER_USE_KEY),
                ),
            ),
        );
    }
}
