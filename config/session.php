<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // Two weeks: the phone in the garage should not ask for a password every evening.
    'lifetime' => 60 * 24 * 14,
    'cookie' => 'dripel_session',
    'same_site' => 'lax',
    'http_only' => true,
];
