<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'stack'),
    'channels' => [
        // That nothing can be written down, on a full disk, is no reason to fail.
        'stack' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true],
        'single' => ['driver' => 'single', 'path' => storage_path('logs/laravel.log'), 'level' => 'debug', 'permission' => 0o600],
    ],
];
