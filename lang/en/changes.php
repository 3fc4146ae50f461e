<?php

declare(strict_types=1);

/** The figures of a chain as a preview names them. */
return [
    'place' => 'Now on',
    'on_hook' => 'its hook',
    'status' => 'State',
    'left' => 'Wax left',
    'since' => 'Since the dip',
    'km' => 'In all',
    'wear' => 'Wear',
    'measured_at' => 'Measured at',
    'limit' => 'Limit',
    'statuses' => [
        'retired' => 'retired',
        'bare' => 'bare',
        'unwaxed' => 'not waxed yet',
        'oiled' => 'oil on it',
        'loud' => 'loud',
        'spent' => 'spent',
        'overtime' => 'hours up',
        'wet' => 'wet',
        'unsure' => 'wax unknown',
        'ridden' => 'ridden',
        'waxed' => 'waxed',
    ],
];
