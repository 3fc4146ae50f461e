<?php

declare(strict_types=1);

namespace App\Archive;

use App\Support\AppClock;
use App\Support\DatabaseFile;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * Puts a backup in the place of the database, above all when that is damaged or gone. Nothing is thrown away: a sound one is backed up,
 * a damaged one set aside as it is.
 */
final readonly class RestoreDatabase
{
    private const LOGS = ['-wal', '-shm', '-journal'];

    public function __construct(private Backups $backups, private CopyDatabase $copyDatabase, private AppClock $clock) {}

    /**
     * @param callable(): bool $migrate brings what was restored up to date
     *
     * @return list<string> what was done, a sentence each
     *
     * @throws RuntimeException if the backup is not sound or there is no room; the database is then as it was
     */
    public function __invoke(string $file, callable $migrate): array
    {
        Backups::expectSound($file);
        $database = DatabaseFile::path();

        return $database === null ? $this->intoServer($file) : $this->intoFile($file, $database, $migrate);
    }

    /** @return list<string> */
    private function intoServer(string $file): array
    {
        $valid = ValidBefore::in(DB::connection());
        $done = [$this->backUp()];
        $fresh = config()->string('dripel.backups') . '/restoring.rows';
        Backups::copy($file, $fresh);
        try {
            $rows = CopyDatabase::file($fresh);
            ($this->copyDatabase)($rows, DB::connection());
            CopyDatabase::close($rows);
        } finally {
            is_file($fresh) && unlink($fresh);
        }

        return [...$done, "Restored and checked: {$file}.", $valid->keepTo(true, $this->clock->unixS())];
    }

    /**
     * @param callable(): bool $migrate
     *
     * @return list<string>
     */
    private function intoFile(string $file, string $database, callable $migrate): array
    {
        $sound = Backups::isSound($database);
        $valid = $sound ? ValidBefore::in(DB::connection()) : new ValidBefore();
        // Copied first: were there no room, what is there would stay where it is.
        $fresh = "{$database}.fresh";
        Backups::copy($file, $fresh);
        try {
            $done = [$sound ? $this->backUp() : $this->setAside($database)];
            // Into the file that others have open, where there is one: who waits to write writes into what was restored.
            $sound ? Backups::replace($fresh, $database) : rename($fresh, $database);
        } finally {
            is_file($fresh) && unlink($fresh);
        }
        chmod($database, 0o600);
        DB::purge();
        $migrate() ||
            throw new RuntimeException('It was restored but could not be brought up to date. Take a newer backup, or this version’s code.');
        Backups::expectSound($database);
        $done[] = "Restored and checked: {$file}.";
        $done[] = $valid->keepTo($sound, $this->clock->unixS());

        return $done;
    }

    private function backUp(): string
    {
        return 'What was there is backed up to ' . $this->backups->before() . '.';
    }

    private function setAside(string $database): string
    {
        if (!is_file($database)) {
            return "There was no database at {$database}.";
        }
        $aside = sprintf('%s-damaged-%s', $database, $this->clock->now()->format('Ymd-His'));
        for ($to = $aside, $n = 2; file_exists($to); $n++) {
            $to = "{$aside}-{$n}";
        }
        foreach (['', ...self::LOGS] as $end) {
            !is_file($database . $end) ||
                rename($database . $end, $to . $end) ||
                throw new RuntimeException("{$database}{$end} cannot be moved.");
        }

        return "The damaged database is set aside at {$to}.";
    }
}
