<?php

declare(strict_types=1);

/** Drip top-ups: the steps, the bottle, the short path after a wet ride. */
return [
    'place' => [
        'on_bike' => 'on the bike',
        'in_box' => 'in a lidded box',
    ],
    'clean' => [
        'water' => 'brush and water only, never solvent again',
        'solvent' => 'a full clean with solvent after two applications, or mud',
    ],
    'manner' => [
        'drops' => 'a drop on each roller',
        'line' => 'a line along the lower run',
    ],
    'box_ml' => ', about :ml',
    'brake' => [
        'disc' => 'the brake disc and its pads',
        'rim' => 'the rim and its brake blocks',
        'hub' => 'what it could drip on',
    ],
    'start' => [
        'quick_link' => 'at the quick link',
        'pin' => 'at a link that you mark',
    ],
    'open' => [
        'quick_link' => 'Open the quick link with gloves',
        'pin' => 'Push the joining pin out with the tool square on it',
    ],
    'close' => [
        'quick_link' => 'close the quick link until it clicks',
        'pin' => 'push a new joining pin in until it stands like its neighbours',
    ],
    'title' => [
        'on_bike' => 'Drip on the bike',
        'in_box' => 'Drip in a box',
    ],
    'excess' => [
        'wipe' => 'wipe it off: a clean chain',
        'leave' => 'keep it on: it runs quieter',
    ],
    'step' => [
        'protect' => [
            'title' => 'Keep it off the brake',
            'text' => 'Cover :brake, and slack the rear derailleur if yours allows it. Wax on a brake is worse than a dry chain.',
        ],
        'protect_single' => [
            'title' => 'Keep it off the brake',
            'text' => 'Cover :brake, and lay cloths under the chain. Wax on a brake is worse than a dry chain.',
        ],
        'cover_again' => [
            'title' => 'Cover the brake again',
            'text' => 'Coat :coat: cover again whatever was uncovered to ride or to look.',
        ],
        'uncover' => [
            'title' => 'Uncover the brake, and try it',
            'text' => 'The last brushing is done: covers off, look for wax on what brakes. Spin the wheel and brake: it must bite as before. If it does not, clean it with alcohol, and ask a mechanic before you ride.',
        ],
        'take_off' => [
            'title' => 'Take it off',
            'text' => ':open and hang the chain up. Have a small box with a lid ready, just larger than the coiled chain.',
        ],
        'clean_link' => [
            'title' => 'Its quick link first',
            'text' => 'It was opened new and has its grease. Take both halves out and shake them in a small jar, white spirit first, then alcohol. Leave them in the air until no smell is left.',
        ],
        'dry_cloth' => [
            'title' => 'Dry cloth',
            'text' => 'Run the chain through a dry microfibre cloth, all the way round, until the cloth stays clean. No solvent: it would take the wax out.',
        ],
        'brush_water' => [
            'title' => 'Brush and water',
            'text' => 'Brush the dirt out with water, rollers and plates. No solvent: it takes the wax out. Soap is disputed: some say that it leaves a film.',
        ],
        'blow_dry' => [
            'title' => 'Blow it dry',
            'text' => 'Blow it dry, a hair dryer does well. Wax does not go where water stands, and bare spots rust.',
        ],
        'warm_bottle' => [
            'title' => 'Warm the bottle',
            'text' => 'Stand the shut bottle in hot, not boiling, water, so that it runs in between the plates.',
        ],
        'shake_bottle' => [
            'title' => 'Shake the bottle',
            'text' => 'Shake it well: the wax settles in its carrier.',
        ],
        'cross_chain' => [
            'title' => 'Cross-chain it',
            'text' => 'Biggest ring, second-biggest sprocket: the plates open a little.',
        ],
        'drops' => [
            'title' => ':drops drops, one a roller',
            'text' => 'Begin :start and pedal backwards: one drop on each roller until it comes round again.',
            'again_title' => 'Coat :coat: :drops drops',
            'again' => 'Again :start, one drop on each roller.',
        ],
        'line' => [
            'title' => 'A line, once round',
            'text' => 'Begin :start: a thin line on the inside of the lower run, pedalling backwards until it comes round again.',
            'again_title' => 'Coat :coat: a line, once round',
            'again' => 'Again :start, a thin line on the inside of the lower run.',
        ],
        'flex' => [
            'title' => 'Flex it',
            'text' => 'Pedal backwards and flex each link sideways until wax shows between the plates.',
        ],
        'gears' => [
            'title' => 'Through all the gears',
            'text' => 'Put the tension back and run once through all the gears, so that it sits everywhere. The brake stays covered.',
        ],
        'cover' => [
            'title' => 'Lay it in and cover it',
            'text' => 'Coil the chain tight, lay it into the box and pour drip wax over it until it is just covered:ml. Shut the lid.',
        ],
        'shake_box' => [
            'title' => 'Shake and rest, :time of 3',
            'text' => 'Shake the shut box, then let it rest.',
        ],
        'lift_slowly' => [
            'title' => 'Lift slowly, let it drip',
            'text' => 'Lift the chain slowly and hang it over the box until it drips no more.',
        ],
        'pour_back' => [
            'title' => 'Pour the rest back',
            'text' => 'Pour what is left back into the bottle, through a filter if it is dirty.',
        ],
        'how_much' => [
            'title' => 'How much did it take?',
            'text' => 'What is missing in the bottle by its marks, if you looked. Left empty, it counts as planned.',
        ],
        'brush_board' => [
            'title' => 'Brush it on a board',
            'text' => 'With a cloth, then brass or nylon, along the plates. What sits between the links stays.',
        ],
        'sweep_up' => [
            'title' => 'Turn the cranks, sweep up',
            'text' => 'Turn the cranks unloaded until no flakes fall, and sweep them up.',
        ],
        'leave' => [
            'title' => 'Dry overnight',
            'text' => 'It must dry before it is ridden: wet drip wax is flung off and picks up dirt. You can leave; Next carries it.',
        ],
        'wipe_excess' => [
            'title' => 'Wipe the excess off',
            'text' => 'Run it through a dry cloth once: what stands on the plates only collects dirt.',
        ],
        'leave_excess' => [
            'title' => 'Ready to ride',
            'text' => 'Keep the excess on: it runs quieter. What is too much falls off in the first kilometres.',
        ],
        'brush_in' => [
            'title' => 'Brush it in',
            'text' => 'Turn the cranks and brush the set coat in, first with a wire brush, then with nylon.',
        ],
        'put_on_single' => [
            'title' => 'Put it on',
            'text' => 'Clean sprocket and chainring with a dry cloth, put the chain on, :close, and look at it and at its tension under load.',
        ],
        'put_on' => [
            'title' => 'Put it on',
            'text' => 'Clean jockey wheels and sprockets with a dry cloth, put the chain on, :close, and look at it under load.',
        ],
    ],
    'tick' => [
        'brake_covered' => 'the brake is covered',
        'disc_covered' => 'disc and pads are covered',
        'rim_covered' => 'rim and brake blocks are covered',
        'cloths_under' => 'cloths lie under the chain',
        'brake_free' => 'covers off, nothing on what brakes',
        'brake_bites' => 'the brake bites as before',
        'tension_out' => 'the derailleur is slack, or cannot be',
        'link_bare' => 'the quick link is clean and dry, with no smell',
    ],
    'caution' => [
        'brake' => 'Keep drip wax off what brakes. Clean brakes before you ride, or ask a mechanic.',
        'fingers' => 'Keep fingers, cloth and sleeves out of the spokes and the sprockets while the cranks turn.',
        'hot_water' => 'Hot water scalds. The bottle stays shut while it is warm.',
        'sheet' => 'Read the sheet of the product: some carriers burn, some want air.',
        'link' => 'A joint that was closed as often as its maker allows goes into the bin: a chain that parts throws you off.',
        'dry' => 'Do not ride it before it is dry.',
        'solvent' => 'Solvent: open air, no flame, no spark, no hot pot near; the spent rest is hazardous waste.',
    ],
    'record' => 'Topped up at :time, good for :km; dry at :ready.',
    'plan' => [
        'dose' => '{1} :drops drops, :ml: one a roller|[2,*] :drops drops, :ml: one a roller, in :count coats',
        'dose_line' => '{1} A thin line once round, about :ml|[2,*] A thin line once round, about :ml in :count coats',
        'dose_in_box' => '{1} About :covers cover it in its box; some :ml stay on it|[2,*] About :covers cover it in its box; some :ml stay on it, in :count coats',
        'dose_box' => '{1} As much as covers it; some :ml stay on it|[2,*] As much as covers it; some :ml stay on it, in :count coats',
        'uncounted' => 'Pitches not counted: worked out with :pitches (house rule).',
        'bottle' => '{0} After it :bottle is nearly empty.|{1} :bottle is enough for one more.|[2,*] :bottle is enough for :count more.',
        'short' => ':bottle holds :left and this takes :ml. Have another ready.',
        'ready' => 'Begun now it may be ridden from :ready.',
        'too_late' => 'The usual ride on :day comes before that. Swap, or drip after that ride.',
        'hours_stay' => 'Hours stay as they are, :left of :interval: drip wax gives none back, only the pot does.',
        'good_for' => 'Good for about :km of dry road, common practice; then :left are on it.',
        'dry_only' => 'Every :interval again; this bike uses drip wax only.',
        'which' => '{1} The first top-up since its dip, of at most :most.|[2,*] Top-up :count since its dip, of at most :most.',
        'too_many' => 'It was topped up :count times since its dip: a proper clean and a dip are due, not another coat.',
        'new' => 'Bare and new to drip wax: two coats before its first ride.',
        'washed' => 'Ridden :condition since: brush and water first, then blow it dry.',
    ],
    'bottle' => [
        'left' => ':left of :volume left',
        'opened' => 'opened :day',
        'shut' => 'not opened yet',
        'given' => '{0} nothing dripped from it yet|{1} one top-up so far|[2,*] :count top-ups so far',
        'empty_on' => 'runs out about :day',
        'pace' => ':ml a week lately',
        'no_pace' => 'no pace yet',
    ],
    'wet' => [
        'title' => 'After the wet: :chain',
        'ride' => ':km :condition on :day, home about :time',
        'ride_day' => ':km :condition on :day',
        'why' => 'Wax keeps little rust off: where it has gone the steel is bare, and bare steel rusts overnight.',
        'dry_by' => 'by :time',
        'dry_late' => 'late: look for rust as you dry it',
        'dry_done' => 'dried :at',
        'next_ride' => 'the next ride is expected on :day',
        'no_next' => 'no ride is expected in the next days',
        'way' => [
            'swap' => [
                'title' => 'Swap to :chain',
                'text' => ':left on it, ready now. This one waits for the pot.',
            ],
            'dip' => [
                'title' => 'Rinse and dip it',
                'text' => 'Hot water first, dried, then the pot: a full coat of :left.',
            ],
            'topup' => [
                'title' => 'Top it up',
                'text' => 'Drip wax bridges: :left on it then.',
            ],
        ],
        'ready' => 'ready :at',
        'no_pot' => 'no pot day is planned',
        'in_time' => 'in time',
        'too_late' => 'too late for :day',
    ],
];
