<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\About;
use App\Logbook\EntryType;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\Keys;
use App\Support\WriteTransaction;
use App\Weather\KeptRain;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Weather\RainTable;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use JsonException;
use TypeError;
use ValueError;

/** Reads the file of a workshop into an empty one, all of it or nothing. */
final readonly class RestoreWorkshop
{
    private const AT_ONCE = 200;

    /** Forty years of ten bikes have a fifth of it; more would not fit into memory. */
    private const MOST_ROWS = 400_000;

    private const MOST_VALUES = 3_000_000;

    public function __construct(
        private ReadBook $readBook,
        private EmptyWorkshop $emptyWorkshop,
        private KeptRain $rain,
        private LedWork $ledWork,
        private AppClock $clock,
    ) {}

    /** @throws NotRestored and nothing is changed */
    public function __invoke(Workshop $workshop, string $json): void
    {
        $file = self::file($json);
        [$tables, $rain] = [$this->tables($file), self::rain($file)];
        $led = LedWorkRules::checked(self::part($file, $file, WorkshopFile::LED));
        try {
            WriteTransaction::run(function () use ($workshop, $tables, $rain, $led): void {
                $this->emptyWorkshop->isEmpty($workshop) || throw new NotRestored('not_empty');
                $this->emptyWorkshop->rows($workshop);
                $this->ledWork->keep($workshop, $led, $this->write($workshop, $tables));
                $this->rain->keep($workshop, $rain);
                $this->check($workshop);
            });
        } catch (QueryException | ValueError | TypeError | InvalidInput) {
            throw new NotRestored('contents');
        } finally {
            $workshop->refresh();
            $this->readBook->forget();
        }
    }

    /** @return array<string, mixed> of a version that can be read */
    private static function file(string $json): array
    {
        if (substr_count($json, '{') + substr_count($json, '[') > self::MOST_ROWS || substr_count($json, ',') > self::MOST_VALUES) {
            throw new NotRestored('too_large', ['most' => self::MOST_ROWS]);
        }
        try {
            $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw new NotRestored(str_contains(substr($json, 0, 200), WorkshopFile::FORMAT) ? 'cut' : 'foreign');
        }
        if (!is_array($file) || ($file['format'] ?? null) !== WorkshopFile::FORMAT || !is_int($file['version'] ?? null)) {
            throw new NotRestored('foreign');
        }
        if ($file['version'] > WorkshopFile::VERSION) {
            throw new NotRestored('newer', ['theirs' => $file['version'], 'ours' => WorkshopFile::VERSION]);
        }

        return $file;
    }

    /** @param array<string, mixed> $file */
    private static function rain(array $file): RainTable
    {
        $runs = self::part($file, $file, WorkshopFile::RAIN);
        try {
            return RainTable::from(Fields::fromJson((string) json_encode([WorkshopFile::RAIN => $runs])));
        } catch (InvalidInput $e) {
            $path = explode('.', $e->path);
            throw new NotRestored('value', [
                'table' => WorkshopFile::RAIN,
                'row' => (int) ($path[1] ?? 0) + 1,
                'column' => $path[2] ?? 'at',
            ]);
        }
    }

    /**
     * What a file says by a name; nothing where its version does not know it yet.
     *
     * @param array<string, mixed> $file
     * @param array<array-key, mixed> $in the file, or its tables
     *
     * @return array<array-key, mixed>
     */
    private static function part(array $file, array $in, string $name): array
    {
        $part = $in[$name] ?? (WorkshopFile::mayLack((int) $file['version'], $name) ? [] : null);

        return is_array($part) ? $part : throw new NotRestored('table_missing', ['table' => $name]);
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array<string, list<array<string, mixed>>>
     */
    private function tables(array $file): array
    {
        $tables = [];
        foreach (WorkshopFile::tables() as $table) {
            $rows = self::part($file, (array) ($file['tables'] ?? []), $table);
            $columns = $this->columns($table);
            foreach (array_values($rows) as $i => $row) {
                if (is_array($row)) {
                    $row += WorkshopFile::unsaid($file['version'], $table);
                }
                if (!is_array($row) || array_diff(array_keys($row), $columns) !== [] || array_diff($columns, array_keys($row)) !== []) {
                    throw new NotRestored('malformed', ['table' => $table, 'row' => $i + 1]);
                }
                $tables[$table][] = $file['version'] < WorkshopFile::LISTS_SINCE ? self::withLists($table, $row) : $row;
            }
            $tables[$table] ??= [];
        }
        (new FileRules($tables))->check();

        return $tables;
    }

    /**
     * @param array<string, mixed> $row of an older file
     *
     * @return array<string, mixed>
     */
    private static function withLists(string $table, array $row): array
    {
        return match ($table) {
            'settings' => ['value' => TextLists::read((string) $row['key'], $row['value'])] + $row,
            WorkshopFile::ACTIONS => ['about' => TextLists::about((array) $row['about'])] + $row,
            default => $row,
        };
    }

    /** @return list<string> */
    private function columns(string $table): array
    {
        return [
            ...array_values(array_diff(Schema::getColumnListing($table), WorkshopFile::NOT_IN_FILE)),
            ...$table === WorkshopFile::ACTIONS ? ['by'] : [],
        ];
    }

    /** @param array<string, list<array<string, mixed>>> $tables */
    private function write(Workshop $workshop, array $tables): Renumber
    {
        $numbers = new Renumber();
        foreach ($tables[WorkshopFile::ACTIONS] as $action) {
            $taken = DB::table(WorkshopFile::ACTIONS)->where('id', $action['id'])->exists();
            $numbers->learn(WorkshopFile::ACTIONS, (string) $action['id'], $taken ? (string) Str::uuid() : (string) $action['id']);
        }
        foreach (EntryType::cases() as $type) {
            $next = (int) DB::table($type->value)->max('id');
            foreach ($tables[$type->value] as $row) {
                $numbers->learn($type->value, (int) $row['id'], ++$next);
            }
        }
        $this->writeActions($workshop, $tables[WorkshopFile::ACTIONS], $numbers);
        foreach (EntryType::cases() as $type) {
            $rows = array_map(
                fn(array $row) => self::encoded(
                    ['id' => $numbers->id($type->value, $row['id']), 'workshop_id' => $workshop->id] + $numbers->row($type->value, $row),
                ),
                $tables[$type->value],
            );
            foreach (array_chunk($rows, self::AT_ONCE) as $chunk) {
                DB::table($type->value)->insert($chunk);
            }
            Keys::countOn($type->value);
        }
        $last = max([0, ...array_column($tables[WorkshopFile::ACTIONS], 'revision')]);
        Workshop::query()
            ->whereKey($workshop->id)
            ->update(['revision' => max($workshop->revision, $last) + 1]);

        return $numbers;
    }

    /** @param list<array<string, mixed>> $actions */
    private function writeActions(Workshop $workshop, array $actions, Renumber $numbers): void
    {
        $accounts = DB::table('users')
            ->join('memberships', 'memberships.user_id', '=', 'users.id')
            ->where('memberships.workshop_id', $workshop->id)
            ->pluck('users.id', 'users.email');
        $reverted = [];
        foreach ($actions as $action) {
            $by = is_array($action['by']) ? $action['by'] : [];
            $userId = $accounts[$by['email'] ?? ''] ?? null;
            $id = $numbers->id(WorkshopFile::ACTIONS, $action['id']);
            if ($action['reverted_by'] !== null) {
                $reverted[$id] = $numbers->id(WorkshopFile::ACTIONS, $action['reverted_by']);
            }
            $about = $numbers->about((array) $action['about']);
            // What the history could not say is not kept.
            About::from($about);
            DB::table(WorkshopFile::ACTIONS)->insert(
                self::encoded([
                    'id' => $id,
                    'workshop_id' => $workshop->id,
                    'user_id' => $userId,
                    'user_name' => $userId === null ? $by['name'] ?? null : null,
                    'kind' => $action['kind'],
                    'recorded_at' => $action['recorded_at'],
                    'revision' => $action['revision'],
                    'about' => $about,
                    'effects' => $numbers->effects(array_values((array) $action['effects'])),
                ]),
            );
        }
        foreach ($reverted as $id => $by) {
            DB::table(WorkshopFile::ACTIONS)
                ->where('id', $id)
                ->update(['reverted_by' => $by]);
        }
    }

    /** The core must be able to read it, and it must be possible. */
    private function check(Workshop $workshop): void
    {
        $this->readBook->forget();
        $book = ($this->readBook)($workshop->refresh());
        foreach ($book->chainIds as $chainId) {
            $book->chain($chainId, $this->clock->unixS());
        }
        foreach ($book->parts as $part) {
            $book->inventory()->part($part->id, $this->clock->unixS());
        }
        $book->conflicts() === [] || throw new NotRestored('contents');
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function encoded(array $row): array
    {
        foreach (WorkshopFile::JSON as $column) {
            if (array_key_exists($column, $row) && $row[$column] !== null) {
                $row[$column] = json_encode($row[$column], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            }
        }

        return $row;
    }
}
