<?php

declare(strict_types=1);

/** The help page: the loop, the words, how figures are made, safety. */
return [
    'loop' => [
        'ride' => [
            'title' => '1. Ride and log',
            'text' => 'Each ride uses up wax: a dry kilometre one, a wet one more. Log it, or drop a file on Rides.',
        ],
        'swap' => [
            'title' => '2. Swap when it is due',
            'text' => 'Hang the used chain up and fit a fresh one. The Shed says which, and until when it is good.',
        ],
        'measure' => [
            'title' => '3. Measure what comes off',
            'text' => 'A worn chain wears out the cassette. Gauge says how worn it is and when to retire it.',
        ],
        'pot' => [
            'title' => '4. Heat the pot',
            'text' => 'Clean and dry chains go in together, one evening for many. Pot leads through it step by step.',
        ],
        'hang' => [
            'title' => '5. Let them set',
            'text' => 'Waxed chains hang ready on the rail. Ahead plans the next swaps and pot days.',
        ],
    ],
    // The words of docs/words.md; a test keeps the two the same.
    'words' => [
        'trade' => [
            'chain' => [
                'Chain',
                'One chain with its own tag, distance, wear and wax. A bike has several that take turns.',
            ],
            'link' => [
                'Quick link',
                'The link that opens without a tool and closes the chain. Some may be closed only once.',
            ],
            'pitch' => [
                'Pitch',
                'The distance from pin to pin, 12.7 mm. A chain’s length is counted in pitches, quick link included.',
            ],
            'wax' => [
                'Wax',
                'Paraffin, plain or with additives, that is melted and drawn into the chain.',
            ],
            'dip' => [
                'Dip',
                'A chain goes into the molten wax and comes out with a fresh coat.',
            ],
            'soak' => [
                'Soak',
                'How long a chain stays in the bath, until its steel is as warm as the wax.',
            ],
            'pot' => [
                'Pot',
                'The cooker or pan with the wax in it. What is in it is the bath.',
            ],
            'pot_day' => [
                'Pot day',
                'An evening on which the pot is heated and several chains are dipped.',
            ],
            'drip' => [
                'Drip, top-up',
                'Liquid wax from a bottle, a drop on each roller, to bridge the time to the next dip.',
            ],
            'swap' => [
                'Swap',
                'One chain comes off the bike and another goes on.',
            ],
            'strip' => [
                'Strip',
                'All grease and oil is washed out with solvent, down to bare metal, so that wax holds.',
            ],
            'rinse' => [
                'Rinse',
                'Hot water takes dirt and old wax off a ridden chain before it goes into the pot.',
            ],
            'rewax' => [
                'Re-wax',
                'The next dip of a chain that has been waxed before.',
            ],
            'interval' => [
                'Interval',
                'How far a chain is ridden on one coat: in distance of dry road, in hours, or both.',
            ],
            'wear' => [
                'Wear',
                'How much longer the chain has become, in percent. At its limit it is retired.',
            ],
        ],
        'ours' => [
            'shed' => [
                'Shed',
                'The first page: each bike with its chains, and what to do next.',
            ],
            'rail' => [
                'Rail',
                'The row of hooks of one bike. A chain hangs there when it is not on the bike.',
            ],
            'coat' => [
                'Coat',
                'The wax on a chain, drawn as far as there is some left.',
            ],
            'next' => [
                'Next',
                'What to do, in three parts: now, at the bench, any day.',
            ],
            'effective' => [
                'Dry road',
                'Kilometres weighed by condition: a wet one counts as several dry ones.',
            ],
            'cycle' => [
                'Wax cycle',
                'The time from one dip of a chain to its next.',
            ],
            'estimate' => [
                'Estimated',
                'Worked out, not logged or measured. It is replaced as soon as something is known.',
            ],
            'house_rule' => [
                'House rule',
                'A value Dripel starts with because nothing published settles it. Most can be changed in Settings.',
            ],
            'common_practice' => [
                'Common practice',
                'What most who wax do. It is passed on among riders and was not measured for your bike.',
            ],
            'school' => [
                'School',
                'One of several ways to do the same: short or long intervals, kinds of solvent, limits of wear.',
            ],
        ],
    ],
    'safety' => [
        'wax' => 'Hot wax burns and sticks: gloves, long sleeves, nobody small near. Never leave the pot alone.',
        'fire' => 'No flame near the pot and no timer socket. Smoke: switch off at the plug, lid on, everybody out. Never water.',
        'wet' => 'No chain wet with water or solvent goes into hot wax: it spits.',
        'solvent' => 'Solvents: open air, no flame or spark, lidded plastic jars. Out of the room before the pot is plugged in.',
        'waste' => 'Spent solvent is hazardous waste. Collect it and hand it in by local rules.',
        'brakes' => 'No wax, oil or degreaser on anything that brakes. Try the brake before you ride.',
        'link' => 'A quick link must click home. Replace it as often as its maker says: a chain that parts throws you off.',
        'ask' => 'Each product’s own sheet and local rules come first. In doubt ask a qualified mechanic.',
    ],
];
