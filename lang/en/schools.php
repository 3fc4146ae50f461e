<?php

declare(strict_types=1);

return [
    'intervals' => [
        'short' => [
            'name' => 'short: :km',
            'reason' => 'Longest chain life, most evenings at the pot. Round figures of common practice: about {km:25000} from a chain.',
        ],
        'middle' => [
            'name' => 'middle: :km',
            'reason' => 'The default: about {km:15000} from a chain; for many one evening at the pot a month.',
        ],
        'long' => [
            'name' => 'long: :km',
            'reason' => 'Fewest evenings; {km:8000} to {km:10000} from a chain.',
        ],
    ],
    'strict' => [
        'name' => 'Strict: 0.5 % on every bike',
        'reason' => 'Sprockets cost more than chains. The default.',
    ],
    'by_speeds' => [
        'name' => 'By speeds: 0.5, 0.75 or 1.0 %',
        'reason' => '0.5 % at 11 or more speeds, 0.75 % at 10 or fewer, 1.0 % on a single speed.',
    ],
    'one_mark' => [
        'name' => 'One mark: 0.75 % on every bike',
        'reason' => 'One mark of the drop-in gauge, easy to remember.',
    ],
    'digital' => [
        'name' => 'Digital: 0.8 % on every bike',
        'reason' => 'For those who read a digital gauge.',
    ],
    'ready' => [
        'cold' => 'when it is cold, 15 min after the dip',
        'next_day' => 'the next day',
    ],
];
