<?php

declare(strict_types=1);

namespace Tests;

use App\Http\Middleware\KeepPage;
use App\Support\AppClock;
use App\Support\ReadTransaction;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

abstract class TestCase extends BaseTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $memory = Cache::build(['driver' => 'array']);
        $this->app->bind(KeepPage::class, fn() => new KeptAgainstMade(new KeepPage($memory, $this->app->make(AppClock::class))));
        ReadTransaction::$outermost = DB::transactionLevel();
        // Within the transaction of a test what would be one of its own is a savepoint, which stays when it is over: a database looks at
        // each of them whenever it writes.
        Event::listen([TransactionCommitted::class, TransactionRolledBack::class], function (
            TransactionCommitted|TransactionRolledBack $over,
        ): void {
            $level = $over->connection->transactionLevel();
            $level === 0 || $over->connection->getPdo()->exec('release savepoint trans' . ($level + 1));
        });
        // A transaction that is rolled back gives no numbers back there.
        DB::getDriverName() === 'pgsql' && DB::select("select setval(oid::regclass, 1, false) from pg_class where relkind = 'S'");
    }
}
