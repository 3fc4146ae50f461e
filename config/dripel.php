<?php

declare(strict_types=1);

use App\Support\CodeStamp;

return [
    // What is kept of what was worked out is of this code: another version works it out anew.
    'code' => CodeStamp::of(dirname(__DIR__) . '/core/src', dirname(__DIR__) . '/app'),
    // The demo workshop and its one-click sign-in exist only here.
    'demo' => (bool) env('DRIPEL_DEMO', false),
    // Whether pages are kept between requests, in memory that all sites of one PHP share (docs/serving.md).
    'keep_pages' => (bool) env('DRIPEL_KEEP_PAGES', true),
    // For tests and the demo: what the one clock showed (ISO 8601, empty: it is now) at which real instant (Unix
    // seconds, empty: at the start of each request), and how fast it runs.
    'clock' => [
        'start' => env('DRIPEL_CLOCK_START'),
        'since' => env('DRIPEL_CLOCK_SINCE'),
        'speed' => (float) env('DRIPEL_CLOCK_SPEED', 1),
    ],
    // What bin/start tells the server to accept; the screens promise the same.
    'upload_megabytes' => 64,
    // Where archives and tables of rides lie while they are read, and the folders that are watched for rides, one a workshop.
    'imports' => env('DRIPEL_IMPORTS', storage_path('app/imports')),
    'inbox' => env('DRIPEL_INBOX', storage_path('app/inbox')),
    // Where copies of the database are kept.
    'backups' => env('DRIPEL_BACKUPS', storage_path('app/backups')),
    // For messages to browsers while Dripel is closed there: this installation's keys, and whom their services may write to about it.
    'push' => [
        'keys' => env('DRIPEL_PUSH_KEYS', storage_path('app/push-keys.json')),
        'contact' => env('DRIPEL_PUSH_CONTACT', 'mailto:dripel@example.org'),
    ],
    // Who may say for whom it asks: whoever knows the word, or comes from one of these addresses.
    'proxy' => [
        'word' => env('DRIPEL_PROXY_WORD'),
        'addresses' => array_values(array_filter(explode(' ', (string) env('DRIPEL_PROXIES', '')))),
    ],
    // The names under which it is served, besides those of this machine itself; a request for any other is refused.
    'hosts' => array_values(array_filter(explode(' ', (string) env('DRIPEL_HOSTS', '')))),
    // With it the first person may register from elsewhere than the machine itself.
    'first_code' => env('DRIPEL_FIRST_CODE'),
    // Where phones reach this machine, if they do: codes to scan lead there.
    'lan_url' => env('DRIPEL_LAN_URL'),
    // The root of this machine's own certificate, offered to them.
    'lan_root' => env('DRIPEL_LAN_ROOT'),
];
