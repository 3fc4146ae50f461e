<?php

declare(strict_types=1);

/** How worn a chain is, and what follows. */
return [
    'now' => [
        'keep' => 'Keep it: about :mean % now, in eight of ten cases :p10 to :p90.',
        'measure' => 'Measure it: about :mean % now, :p10 to :p90 in eight of ten cases, so with :likely it is past :limit already.',
        'retire' => 'Retire it: about :mean % now, and the limit is :limit. A worn chain eats the cassette.',
    ],
    'limit' => ':limit comes in about :km50, in eight of ten cases between :km10 and :km90.',
    'limit_open' => ':limit comes in about :km50, in one of ten cases before :km10.',
    'limit_never' => ':limit is further off than anybody rides.',
    'measure_by' => 'Measure again by :at on it, in :ahead.',
    'why' => '{0} Nothing was measured yet. Waxed every :interval, a chain is taken to wear :rate % in 1,000 km, give or take a factor of two (house rule).|{1} From one reading, and what a chain waxed every :interval is taken to wear: :rate % in 1,000 km, give or take a factor of two (house rule).|[2,*] From :count readings, and what a chain waxed every :interval is taken to wear: :rate % in 1,000 km, give or take a factor of two (house rule).',
];
