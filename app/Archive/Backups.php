<?php

declare(strict_types=1);

namespace App\Archive;

use App\Support\AppClock;
use RuntimeException;
use SQLite3;

/** Copies of the whole database, made while it is in use: SQLite's online backup, opened and checked, the oldest let go. */
final readonly class Backups
{
    private const KEPT = 14;

    private const PATIENCE_MS = 30_000;

    public function __construct(private AppClock $clock) {}

    /**
     * @return string|null where it is; null for a database in memory, which nobody can copy
     *
     * @throws RuntimeException if there is nothing to copy, or the copy is not sound
     */
    public function make(): ?string
    {
        $database = self::database();
        if ($database === ':memory:') {
            return null;
        }
        is_file($database) || throw new RuntimeException("There is no database {$database} yet.");
        is_dir(self::folder()) || mkdir(self::folder(), 0o700, true);
        $path = sprintf('%s/%s-%s.sqlite', self::folder(), pathinfo($database, PATHINFO_FILENAME), $this->clock->now()->format('Ymd-His'));
        for ($file = $path, $n = 2; is_file($file); $n++) {
            $file = str_replace('.sqlite', "-{$n}.sqlite", $path);
        }
        self::copy($database, "{$file}.part");
        // One file by itself, without a log beside it.
        (new SQLite3("{$file}.part"))->exec('pragma journal_mode = delete');
        self::expectSound("{$file}.part");
        chmod("{$file}.part", 0o600);
        rename("{$file}.part", $file);
        $this->rotate(pathinfo($database, PATHINFO_FILENAME));

        return $file;
    }

    /** Puts a backup in the place of the database; what was there is backed up first. */
    public function restore(string $file): void
    {
        self::expectSound($file);
        $this->make();
        self::copy($file, self::database());
    }

    /** @return list<string> the newest first */
    public function all(): array
    {
        $files = glob(self::folder() . '/' . pathinfo(self::database(), PATHINFO_FILENAME) . '-*.sqlite') ?: [];
        rsort($files);

        return $files;
    }

    /** @throws RuntimeException unless it opens, is whole and is a database of Dripel */
    public static function expectSound(string $file): void
    {
        is_file($file) || throw new RuntimeException("There is no file {$file}.");
        try {
            $copy = new SQLite3($file, SQLITE3_OPEN_READONLY);
            $copy->enableExceptions(true);
            $sound = $copy->querySingle('pragma integrity_check') === 'ok';
            $ours = $copy->querySingle("select count(*) from sqlite_master where name in ('workshops', 'actions', 'migrations')") === 3;
            $copy->close();
        } catch (\Exception) {
            [$sound, $ours] = [false, false];
        }
        ($sound && $ours) || throw new RuntimeException("{$file} is no sound database of Dripel. Nothing was changed.");
    }

    private function rotate(string $name): void
    {
        $files = glob(self::folder() . "/{$name}-*.sqlite") ?: [];
        sort($files);
        array_map(unlink(...), array_slice($files, 0, max(0, count($files) - self::KEPT)));
    }

    private static function copy(string $from, string $to): void
    {
        $source = new SQLite3($from, SQLITE3_OPEN_READWRITE);
        $target = new SQLite3($to);
        $source->busyTimeout(self::PATIENCE_MS);
        $target->busyTimeout(self::PATIENCE_MS);
        $source->backup($target) || throw new RuntimeException("{$from} could not be copied to {$to}.");
        $target->close();
        $source->close();
    }

    private static function folder(): string
    {
        return config()->string('dripel.backups');
    }

    private static function database(): string
    {
        return config()->string('database.connections.sqlite.database');
    }
}
