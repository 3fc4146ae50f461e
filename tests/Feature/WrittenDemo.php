<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Archive\CopyDatabase;
use App\Support\AppClock;
use DateTimeImmutable;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** The demo for tests that look at it and not at how it comes about: written once a process for each end, and copied from then on. */
final class WrittenDemo
{
    public const NOON = '2026-11-25T12:20:00+01:00';

    /** @var array<string, string> files of SQLite by the instant that it ends at */
    private static array $files = [];

    public static function ending(string $today = self::NOON): void
    {
        // Beside others it is written as it would be: a copy is of the demo alone.
        if (DB::table('users')->exists()) {
            self::write($today);

            return;
        }
        if (isset(self::$files[$today])) {
            self::copy(fn(Connection $file, CopyDatabase $copy) => $copy($file, DB::connection()), self::$files[$today]);
            // It is as late as after it was written.
            app(AppClock::class)->set((new DateTimeImmutable($today))->getTimestamp());

            return;
        }
        self::write($today);
        self::$files[$today] = (string) tempnam(sys_get_temp_dir(), 'dripel-demo');
        self::copy(fn(Connection $file, CopyDatabase $copy) => $copy(DB::connection(), $file), self::$files[$today]);
        register_shutdown_function(fn() => array_map(unlink(...), glob(self::$files[$today] . '*') ?: []));
    }

    private static function write(string $today): void
    {
        Artisan::call('dripel:demo', ['--today' => $today]) === 0 || throw new RuntimeException(Artisan::output());
    }

    /** @param callable(Connection, CopyDatabase): mixed $do */
    private static function copy(callable $do, string $path): void
    {
        $file = CopyDatabase::file($path);
        try {
            $do($file, new CopyDatabase());
        } finally {
            CopyDatabase::close($file);
        }
    }
}
