<?php

declare(strict_types=1);

return [
    'guards' => [
        // Minutes for which a browser is remembered; the row of the sign-in says the same (App\People\SignIns).
        'web' => ['driver' => 'session', 'provider' => 'users', 'remember' => 60 * 24 * 30],
    ],
    'providers' => ['users' => ['driver' => 'remembered']],
];
