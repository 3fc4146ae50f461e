<?php

declare(strict_types=1);

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('app/dripel.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Milliseconds a writer waits for another one before it gives up.
            'busy_timeout' => 10_000,
            'journal_mode' => 'wal',
            // Off is for tests: a machine that only loses power in them need not write through to the disk.
            'synchronous' => env('DB_SYNCHRONOUS', 'normal'),
        ],
        // For those who outgrow one file: docs/serving.md.
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '/run/postgresql'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_NAME', 'dripel'),
            'username' => env('DB_USERNAME', 'dripel'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => env('DB_SCHEMA', 'public'),
            // One way to the server and back for each question instead of three: hardly any is asked twice in a request.
            'options' => extension_loaded('pdo_pgsql') ? [PDO::PGSQL_ATTR_DISABLE_PREPARES => true] : [],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
