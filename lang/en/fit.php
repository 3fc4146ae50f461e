<?php

declare(strict_types=1);

/** A chain off, cut, on: the steps of the guided swap. */
return [
    'title' => 'Swap the chain of :bike',
    'step' => [
        'small_sprocket' => [
            'title' => 'Slack the chain',
            'text' => 'Shift to the smallest sprocket and the small ring, and lift the chain off the ring towards the frame.',
        ],
        'slack_wheel' => [
            'title' => 'Slack the chain',
            'text' => 'Loosen the rear wheel or the tensioner and push it forward until the chain hangs.',
        ],
        'open_link' => [
            'title' => 'Open the quick link',
            'text' => 'With link pliers, or by hand: press its plates together and push the halves past one another. Never prise a stuck one.',
        ],
        'push_pin' => [
            'title' => 'Push the pin out',
            'text' => 'Away from the old joining pin. The tool sits square on the pin; turn slowly. A pin that was out is not used again.',
        ],
        'hang_off_link' => [
            'title' => 'Hang it up, both halves with it',
            'text' => 'Pull the chain out backwards, onto its wire, and tie both halves of the link to it. Measure it before it goes anywhere.',
        ],
        'hang_off' => [
            'title' => 'Hang it up',
            'text' => 'Pull the chain out backwards, onto its wire. Measure it before it goes anywhere.',
        ],
        'count' => [
            'title' => 'Count :cut_to pitches',
            'text' => 'Lay the new chain straight beside the old one, or count: :pitches as it is ridden, so :cut_to of the new chain stay. Count twice.',
        ],
        'cut_link' => [
            'title' => 'Cut to two inner ends',
            'text' => 'Push out the pin behind pitch :cut_to, the tool square on it. Both ends are inner links: the quick link joins them.',
        ],
        'cut_pin' => [
            'title' => 'Cut, one end inner, one outer',
            'text' => 'Push out the pin behind pitch :cut_to, the tool square on it. One end is an inner link, the other an outer one for the joining pin.',
        ],
        'look_teeth' => [
            'title' => 'Look at the teeth',
            'text' => 'Sprockets and rings: even humps are good; hooked or pointed teeth and widened gaps are worn. A new chain skips on those.',
        ],
        'clean_first' => [
            'title' => 'Is the drivetrain clean?',
            'text' => 'This is its first waxed chain. On oily teeth it is dirty at once: clean what it runs on down to metal first.',
        ],
        'flex_link' => [
            'title' => 'Flex it, scrape its ends',
            'text' => 'Roll the stiff chain over a broom handle until every joint moves. Scrape the wax off the end links so that the quick link closes.',
        ],
        'flex' => [
            'title' => 'Flex it',
            'text' => 'Roll the stiff chain over a broom handle until every joint moves.',
        ],
        'route_cages' => [
            'title' => 'Thread it through',
            'text' => 'Through the front cage, over the smallest sprocket, in front of the upper jockey wheel and behind the lower one. Past the tabs of the cage.',
        ],
        'route_single' => [
            'title' => 'Lay it on',
            'text' => 'Over the sprocket and round the ring, both ends at the ring.',
        ],
        'direction' => [
            'title' => 'Mind its outer side',
            'text' => 'The lettering looks outward, away from the wheel. The curved edge of the quick link looks towards the sprockets.',
        ],
        'close_link' => [
            'title' => 'Close the quick link',
            'text' => 'Both halves in, the arrow in the running direction. Turn it to the upper run, then link pliers apart, or the brake on and a push on the pedal, until it clicks.',
        ],
        'close_pin' => [
            'title' => 'Push the joining pin in',
            'text' => 'A new pin, oiled lightly, its guide first, the tool square on it, until it stands as far out as its neighbours. Break the guide off.',
        ],
        'load_test' => [
            'title' => 'Load it once',
            'text' => 'The brake on, one firm push on the pedal on the stand. Then turn the cranks backwards and watch every link pass. This cannot be skipped.',
        ],
        'gears' => [
            'title' => 'Through all gears',
            'text' => 'On the stand, cranks turning: every sprocket, every ring. It neither jumps nor catches.',
        ],
        'tension' => [
            'title' => 'Set the tension',
            'text' => 'Wheel straight and back until the chain gives one to one and a half centimetres at its tightest spot. Nuts tight. This cannot be skipped.',
        ],
        'first_km' => [
            'title' => 'The first kilometres',
            'text' => 'Stiff, ratchety, a jump or two at first is normal, and flakes fly. What stays is not: get off. Wipe the flakes once with a dry cloth.',
        ],
    ],
    'tick' => [
        'link_home' => 'The link clicked home and sits flush on both sides',
        'pin_flush' => 'The pin stands out as far as its neighbours on both sides',
        'no_stiff' => 'No joint stays stiff as it bends',
        'shifts' => 'It shifts through all gears without jumping',
        'wheel_tight' => 'The wheel is straight and its nuts are tight',
        'brake_bites' => 'The brake was tried, and it bites',
        'drivetrain_clean' => 'What it runs on is clean and dry',
    ],
];
