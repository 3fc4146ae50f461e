<?php

declare(strict_types=1);

namespace Tests;

use App\Support\ReadTransaction;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\DB;
use Inertia\Support\Header;

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

    /** What a page shows in a part that is opened: asked for then, as a browser does. */
    protected function opened(string $path, string $prop): mixed
    {
        $page = $this->get($path)->inertiaPage();
        app()->forgetScopedInstances();

        return $this->get($path, [
            Header::INERTIA => 'true',
            Header::VERSION => (string) $page['version'],
            Header::PARTIAL_COMPONENT => $page['component'],
            Header::PARTIAL_ONLY => $prop,
        ])
            ->assertOk()
            ->json("props.{$prop}");
    }
}
