<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Archive\CopyDatabase;
use App\Support\AppClock;
use DateTimeImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Tests\DatabaseFile;

/** The demo for tests that look at it and not at how it comes about. */
final class WrittenDemo
{
    public static function ending(string $today = DatabaseFile::NOON): void
    {
        // Beside others it is written as it would be: a copy is of the demo alone.
        if (DB::table('users')->exists()) {
            Artisan::call('dripel:demo', ['--today' => $today]) === 0 || throw new RuntimeException(Artisan::output());

            return;
        }
        $file = CopyDatabase::file(DatabaseFile::withDemo($today));
        try {
            (new CopyDatabase())($file, DB::connection());
        } finally {
            CopyDatabase::close($file);
        }
        // It is as late as after it was written.
        app(AppClock::class)->set((new DateTimeImmutable($today))->getTimestamp());
    }
}
