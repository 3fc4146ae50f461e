<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('app/dripel.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Milliseconds a writer waits for another one before it gives up.
            'busy_timeout' => 10_000,
            'journal_mode' => 'wal',
            'synchronous' => 'normal',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
