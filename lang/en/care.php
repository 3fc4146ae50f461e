<?php

declare(strict_types=1);

/** Drivetrain care: the steps of the guided clean, and what is to be minded at a bike. */
return [
    'title' => 'Clean the drivetrain of :bike',
    'step' => [
        'cover_brake' => [
            'title' => 'Cover what must stay clean',
            'text' => 'Chain off, bike on its stand. Nothing of what follows may reach what brakes.',
        ],
        'pick_wax' => [
            'title' => 'Pick the old wax off',
            'text' => 'From between the teeth and off all it has gathered on, with a wooden stick. It goes into the bin, not onto the floor.',
        ],
        'degrease' => [
            'title' => 'Brush with degreaser',
            'text' => 'All that the chain runs on, down to metal. Anodised parts are brushed apart from it, with water.',
        ],
        'wipe_degreaser' => [
            'title' => 'Wipe the degreaser off',
            'text' => 'With a wet cloth, then a dry one, until the cloth stays clean. What is left of it would take the wax off again.',
        ],
        'sprockets' => [
            'title' => 'The sprockets',
            'text' => 'Fold a cloth once and draw it to and fro between each pair, from the largest to the smallest.',
        ],
        'sprocket_single' => [
            'title' => 'The sprocket',
            'text' => 'A cloth round its teeth and over both faces.',
        ],
        'rings' => [
            'title' => 'The rings',
            'text' => 'Both faces of each, and between them; the ramps too.',
        ],
        'ring_single' => [
            'title' => 'The ring',
            'text' => 'Both faces and the gaps between its teeth.',
        ],
        'jockey_wheels' => [
            'title' => 'The jockey wheels',
            'text' => 'Hold a cloth against each and turn it with a finger. No spray at their bearings.',
        ],
        'cage' => [
            'title' => 'The cage',
            'text' => 'Inside and outside of every cage it runs through, where grit gathers.',
        ],
        'teeth' => [
            'title' => 'Look at the teeth',
            'text' => 'Even humps are good. Hooked or pointed teeth and widened gaps are worn; a chain that skips under load shows it too.',
        ],
        'paint' => [
            'title' => 'Brush wax on',
            'text' => 'A little molten wax on the clean sprockets, thin. Some do it in winter, others see no gain.',
        ],
        'uncover' => [
            'title' => 'The brake again',
            'text' => 'Covers off, cloths away, and the brake tried before anybody rides. This cannot be skipped.',
        ],
    ],
    'tick' => [
        'disc_covered' => 'The brake disc is covered',
        'rim_covered' => 'Rim and brake blocks are covered',
        'cloths_under' => 'Cloths lie under the cranks',
        'gloves' => 'Gloves are on',
        'anodised_apart' => 'No anodised part lies in the degreaser',
        'wiped_off' => 'No degreaser is left',
        'no_drip' => 'No wax dripped on brake or floor',
        'disc_cleaned' => 'The disc is cleaned with alcohol and a fresh cloth',
        'cover_off' => 'The covers are off',
        'brake_bites' => 'The brake was tried, and it bites',
    ],
    'caution' => [
        'fingers' => 'Fingers away from turning sprockets.',
        'no_jets' => 'No jet of water or air at bearings.',
        'brakes' => 'Keep wax, oil and degreaser off what brakes.',
        'sheet' => 'Follow the sheet of the degreaser; gloves on.',
        'waste' => 'Degreaser with grease in it is hazardous waste: collect it.',
        'hot' => 'Hot wax burns and sticks: gloves, long sleeves, nobody small near.',
        'together' => 'Worn sprockets and a new chain skip: they are replaced together.',
        'single_use' => 'A single-use link is closed once. A spent one can part under load.',
        'do_not_ride' => 'A link that does not click, a stiff joint, a skipping chain, a brake that does not bite: do not ride; ask a qualified mechanic.',
    ],
];
