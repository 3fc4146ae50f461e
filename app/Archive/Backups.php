<?php

declare(strict_types=1);

namespace App\Archive;

use App\Support\AppClock;
use App\Support\DatabaseFile;
use Exception;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use SQLite3;

/**
 * Copies of the whole database, made while it is in use: SQLite's online backup, opened and checked; of a database server every row, in a
 * file of the same kind. They are numbered as they are made, so that the oldest goes first whatever the clock said; what is copied for
 * safety before something is changed is kept apart.
 */
final readonly class Backups
{
    private const KEPT = 14;

    /** The folder of those made before something was changed. */
    private const BEFORE = 'before';

    /** When the night's backup is due, UTC. */
    private const NIGHT_S = 3 * 3600;

    private const PATIENCE_MS = 30_000;

    public function __construct(private AppClock $clock, private CopyDatabase $copyDatabase) {}

    /**
     * @param string|null $folder of another disk; null: where backups lie
     *
     * @return string|null where it is; null for a database in memory, which nobody can copy
     *
     * @throws RuntimeException if there is nothing to copy, no room for it, or the copy is not sound; nothing of it stays
     */
    public function make(?string $folder = null): ?string
    {
        $folder === null || is_dir($folder) || throw new RuntimeException("There is no folder {$folder}. Is that disk plugged in?");

        return $this->copyInto($folder ?? self::folder());
    }

    /** For safety, before something is changed that nobody can take back. Those of every day are not pushed out by it. */
    public function before(): ?string
    {
        return $this->copyInto(self::folder() . '/' . self::BEFORE);
    }

    /** The one of last night, if it has not been made yet. */
    public function nightly(): ?string
    {
        $nowS = $this->clock->unixS();
        $nightS = intdiv($nowS - self::NIGHT_S, 86400) * 86400 + self::NIGHT_S;
        $newest = $this->newest();

        return $newest !== null && $newest->madeS >= $nightS && $newest->madeS <= $nowS + 86400 ? null : $this->make();
    }

    /** The newest of every day; null: there is none yet. */
    public function newest(): ?BackupFile
    {
        return self::in(self::folder())[0] ?? null;
    }

    public static function isSound(string $file): bool
    {
        return is_file($file) && self::ask($file, 'integrity_check') && self::isOurs($file);
    }

    /** Whether every page of it can be read; quicker than isSound, and so it may be a database in which nothing is yet. */
    public static function isWhole(string $file): bool
    {
        return self::ask($file, 'quick_check');
    }

    /** @throws RuntimeException unless it opens, is whole and is a database of Dripel */
    public static function expectSound(string $file): void
    {
        is_file($file) || throw new RuntimeException("There is no file {$file}.");
        self::isSound($file) || throw new RuntimeException("{$file} is no sound database of Dripel.");
    }

    private static function ask(string $file, string $check): bool
    {
        return self::read($file, fn(SQLite3 $copy) => $copy->querySingle("pragma {$check}") === 'ok');
    }

    private static function isOurs(string $file): bool
    {
        return self::read(
            $file,
            fn(SQLite3 $copy) => $copy->querySingle(
                "select count(*) from sqlite_master where name in ('workshops', 'actions', 'migrations')",
            ) === 3,
        );
    }

    /** @param callable(SQLite3): bool $question */
    private static function read(string $file, callable $question): bool
    {
        try {
            $copy = new SQLite3($file, SQLITE3_OPEN_READONLY);
            $copy->enableExceptions(true);
            $answer = $question($copy);
            $copy->close();
        } catch (Exception) {
            return false;
        }

        return $answer;
    }

    /** One sound file by itself, at `to` from one moment to the next; nothing stays of it if it fails. */
    public static function copy(string $from, string $to): void
    {
        $part = "{$to}.part";
        $bytes = array_sum(array_map(fn(string $end) => is_file($from . $end) ? (int) filesize($from . $end) : 0, ['', '-wal']));
        $free = @disk_free_space(dirname($to));
        $free === false || $free > $bytes || throw new RuntimeException(self::noRoom($to, $bytes));
        try {
            $source = new SQLite3($from, SQLITE3_OPEN_READWRITE);
            $target = new SQLite3($part);
            $source->busyTimeout(self::PATIENCE_MS);
            $copied = @$source->backup($target);
            $target->close();
            $source->close();
            $copied || throw new RuntimeException("{$from} could not be copied to {$to}: it is damaged, or the disk is full.");
            // Without a log beside it.
            $alone = new SQLite3($part);
            $alone->exec('pragma journal_mode = delete');
            $alone->close();
            self::expectSound($part);
            chmod($part, 0o600);
            self::flush($part);
            rename($part, $to) || throw new RuntimeException(self::noRoom($to, $bytes));
        } catch (RuntimeException $e) {
            throw $e;
        } catch (Exception $e) {
            throw new RuntimeException("{$from} could not be copied to {$to}: {$e->getMessage()}.");
        } finally {
            array_map(fn(string $end) => is_file($part . $end) && unlink($part . $end), ['', '-journal', '-wal', '-shm']);
        }
    }

    /** The contents of a sound database by those of another, in one step for whoever has it open. */
    public static function replace(string $with, string $database): void
    {
        $source = new SQLite3($with, SQLITE3_OPEN_READWRITE);
        $target = new SQLite3($database);
        $target->busyTimeout(self::PATIENCE_MS);
        $replaced = @$source->backup($target);
        $target->close();
        $source->close();
        $replaced || throw new RuntimeException("{$database} could not be replaced: it is in use. Stop Dripel, then try again.");
    }

    private function copyInto(string $folder): ?string
    {
        $database = DatabaseFile::path();
        if ($database === null && DB::getDriverName() === 'sqlite') {
            return null;
        }
        $database === null || is_file($database) || throw new RuntimeException("There is no database {$database} yet.");
        is_dir($folder) ||
            @mkdir($folder, 0o700, true) ||
            throw new RuntimeException("The folder {$folder} cannot be made. Is the disk full, or read-only?");
        $last = max([0, ...array_map(fn(BackupFile $file) => $file->number, self::in($folder))]);
        $path = sprintf('%s/%s-%06d-%s.sqlite', $folder, self::name(), $last + 1, $this->clock->now()->format('Ymd-His'));
        $database === null ? $this->copyServer($path) : self::copy($database, $path);
        array_map(fn(BackupFile $file) => unlink($file->path), array_slice(self::in($folder), self::KEPT));

        return $path;
    }

    private function copyServer(string $to): void
    {
        $file = "{$to}.rows";
        try {
            $rows = CopyDatabase::file($file);
            ($this->copyDatabase)(DB::connection(), $rows);
            CopyDatabase::close($rows);
            self::copy($file, $to);
        } finally {
            is_file($file) && unlink($file);
        }
    }

    private static function flush(string $file): void
    {
        $handle = fopen($file, 'r+');
        if ($handle !== false) {
            fsync($handle);
            fclose($handle);
        }
    }

    private static function noRoom(string $to, int $bytes): string
    {
        return sprintf('There is no room for %s: it needs %.1f MB. Free some of that disk, then try again.', $to, $bytes / 1e6);
    }

    /** @return list<BackupFile> the newest first */
    private static function in(string $folder): array
    {
        return BackupFile::sorted(
            array_values(
                array_filter(array_map(fn(string $path) => BackupFile::of($path, self::name()), glob("{$folder}/*.sqlite") ?: [])),
            ),
        );
    }

    private static function name(): string
    {
        return pathinfo(DatabaseFile::path() ?? DB::connection()->getDatabaseName(), PATHINFO_FILENAME);
    }

    private static function folder(): string
    {
        return config()->string('dripel.backups');
    }
}
