<?php

declare(strict_types=1);

namespace Tests;

use App\Support\ReadTransaction;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\DB;

abstract class TestCase extends BaseTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        ReadTransaction::$outermost = DB::transactionLevel();
        // A transaction that is rolled back gives no numbers back there.
        DB::getDriverName() === 'pgsql' && DB::select("select setval(oid::regclass, 1, false) from pg_class where relkind = 'S'");
    }
}
