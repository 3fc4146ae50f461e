<?php

declare(strict_types=1);

/** The words of the command line and what it answers. Words are in lower case; the first of each is the one it is called. */
return [
    'verbs' => [
        'ride' => [
            'ride',
            'rode',
            'ridden',
            'log',
        ],
        'swap' => [
            'swap',
            'swapped',
            'fit',
            'put',
        ],
        'loud' => [
            'loud',
            'noisy',
            'noise',
        ],
        'drip' => [
            'drip',
            'dripped',
            'top-up',
            'topup',
            'top up',
        ],
        'measure' => [
            'measure',
            'measured',
            'wear',
        ],
        'catch_up' => [
            'catch up',
            'caught up',
            'estimate',
        ],
        'dip' => [
            'dip',
            'dipped',
            'wax',
            'waxed',
        ],
        'undo' => [
            'undo',
            'take back',
        ],
    ],
    'ahead' => [
        'pot' => [
            'pot',
            'heat the pot',
            'heat',
        ],
        'plan' => [
            'plan',
            'plan again',
        ],
    ],
    'conditions' => [
        'indoor' => [
            'indoor',
            'indoors',
            'trainer',
        ],
        'dry' => [
            'dry',
        ],
        'dusty' => [
            'dusty',
            'dust',
        ],
        'damp' => [
            'damp',
        ],
        'wet' => [
            'wet',
            'rain',
            'rainy',
        ],
        'muddy' => [
            'muddy',
            'mud',
        ],
    ],
    'today' => [
        'today',
    ],
    'tomorrow' => [
        'tomorrow',
    ],
    'yesterday' => [
        'yesterday',
    ],
    'since' => 'since',
    'at' => 'at',
    'weeks' => '/ (\\d{1,2}) weeks?(?= )/u',
    'ago' => '/ (\\d{1,3}) days? ago(?= )/u',
    'next' => [
        'what’s next',
        'what\'s next',
        'whats next',
        'what is next',
        'what now',
        'next',
    ],
    'help' => [
        'help',
        'examples',
        'what can i say',
    ],
    'units' => [
        'km' => [
            'km',
            'kilometres',
            'kilometers',
        ],
        'mi' => [
            'mi',
            'miles',
            'mile',
        ],
    ],
    'fillers' => [
        'on',
        'the',
        'to',
        'of',
        'for',
        'it',
        'was',
        'got',
        'is',
        'chain',
        'bike',
        'last',
    ],
    'examples' => [
        'next' => 'what’s next',
        'ride' => 'ride :bike 62 wet yesterday',
        'timed' => 'ride :bike 40 2h10 yesterday at 14:30',
        'since' => ':bike 240 since monday',
        'loud' => 'loud :bike',
        'measure' => 'measure :bike 0.25',
        'drip' => 'drip :bike',
        'swap' => 'swap :bike :letter',
        'pot' => 'pot saturday',
        'undo' => 'undo',
    ],
    'preview' => [
        'ride' => 'Log :km :condition on :bike:hours, :day:loud.',
        'km' => ':km',
        'about_km' => 'about :km',
        'in_hours' => ' in :hours',
        'and_loud' => ', and it got loud',
        'swap' => 'Swap :bike to :letter, :at.',
        'loud' => 'The chain of :bike got loud, :at.',
        'drip' => 'Top up :chain with drip, good for :km, :at.',
        'measure' => 'Measured :chain: :wear, :at.',
        'undo' => 'Undo: :what.',
        'pot' => 'Heat the pot on :day; the rest is planned around it, :change.',
        'plan' => 'Plan so far ahead. :plan.:about',
    ],
    'problems' => [
        'empty' => 'Type what was done.',
        'unknown' => 'Not understood: “:word”. Type “help” for examples.',
        'only_rides_last' => 'Only a ride has a duration. A time of day is written 14:10, or “at 14:10”.',
        'which_bike' => 'Which bike? There are :bikes.',
        'no_pace' => 'How far, about? No ride of :bike shows yet how far it goes in an hour.',
        'how_far' => 'How far? For example: ride :bike 62',
        'how_worn' => 'How worn, in percent? For example: measure :bike 0.25',
        'no_chain_on' => 'No chain is on :bike then. Swap one on first.',
        'nothing_to_swap_to' => 'Nothing waxed hangs ready for :bike. Name the letter.',
        'nothing_to_undo' => 'Nothing of yours is left to undo.',
        'dip_in_the_shed' => 'Record a dip on the Shed or Pot page: there each chain is checked to be dry.',
        'pot_when' => 'On which day? For example: pot saturday',
        'pot_past' => 'Name a day from today to 26 weeks ahead; from tomorrow where chains are dipped the evening before.',
        'plan_weeks' => 'A plan reaches 2 to :most weeks ahead.',
        'no_such_day' => 'There is no such day. Write it as 27 Nov or saturday.',
    ],
];
