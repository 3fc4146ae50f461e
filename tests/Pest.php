<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');
// What becomes of the one file of SQLite: bin/test postgres leaves it out.
pest()
    ->group('file')
    ->in(
        'Feature/Archive/CrashTest.php',
        'Feature/Archive/DiskTest.php',
        'Feature/Archive/RehearsalTest.php',
        'Feature/Console/StartTest.php',
    );

// Each process has a database of its own (bin/test postgres).
getenv('DB_CONNECTION') === 'pgsql' && putenv('DB_NAME=dripel_' . (getenv('TEST_TOKEN') ?: '1'));
