<?php

declare(strict_types=1);

/** A bike ridden on oil comes to wax. */
return [
    'title' => 'Bring :bike to wax',
    'lead' => 'Step by step, as it suits: days may pass between, and Next keeps the place. Wax does not stick to oil, so none is passed over.',
    'over' => 'A waxed chain is on :bike, or no chain ridden on oil: nothing is left to convert.',
    'the_chain' => 'the chain',
    'new_chain' => 'the new chain',
    'step' => [
        'measure' => [
            'title' => 'Measure :old',
            'text' => 'Its wear decides whether stripping it is worth the solvent.',
            'verb' => 'Measure',
        ],
        'decide' => [
            'title' => 'Strip it, or a new chain',
            'text' => ':old is worn :worn, limit :limit. From 0.5 % on, common practice starts with a new chain.',
            'verb' => 'Decide',
        ],
        'clean' => [
            'title' => 'Clean the drivetrain down to metal',
            'text' => 'All that the chain runs on: a waxed chain on oily teeth is dirty at once.',
            'verb' => 'Be led',
        ],
        'buy' => [
            'title' => 'Get a new chain',
            'text' => 'Of the same speeds and length. Add it once it lies on the bench.',
            'verb' => 'Add it',
        ],
        'strip' => [
            'title' => 'Strip :chain',
            'text' => 'Bath by bath until the solvent stays clear, then dry. Bare steel rusts: wax it within 12 h.',
            'verb' => 'Plan the strip',
        ],
        'wax' => [
            'title' => 'Wax :chain',
            'text' => 'Its first wax: bare steel goes into the pot first.',
            'text_drip' => 'This bike lives on drip wax: two coats before its first ride.',
            'verb' => 'Plan it',
        ],
        'fit' => [
            'title' => 'Fit :chain',
            'text' => 'On clean sprockets, tried under load. The first kilometres are stiff and ratchety.',
            'verb' => 'Be led',
        ],
    ],
    'way' => [
        'keep' => [
            'title' => 'Strip :old',
            'text' => 'More baths than a new one takes, often an ultrasonic one.',
        ],
        'new' => [
            'title' => 'Start with a new chain',
            'text' => 'Storage grease comes off easily, and the sprockets meet an unworn chain.',
        ],
    ],
];
