<?php

declare(strict_types=1);

/** A bike ridden on oil comes to wax. */
return [
    'title' => 'Convert :bike to wax',
    'lead' => 'Step by step, over days if need be; Next keeps the place. Wax does not stick to oil, so no step is skipped.',
    'over' => 'Nothing to convert: a waxed chain is on :bike, or no chain ridden on oil.',
    'the_chain' => 'the chain',
    'new_chain' => 'the new chain',
    'step' => [
        'measure' => [
            'title' => 'Measure :old',
            'text' => 'Its wear decides whether stripping it is worth the solvent.',
            'verb' => 'Measure',
        ],
        'decide' => [
            'title' => 'Strip it or buy a new chain',
            'text' => ':old is worn :worn, limit :limit. From 0.5 % on, common practice starts with a new chain.',
            'verb' => 'Decide',
        ],
        'clean' => [
            'title' => 'Clean the drivetrain down to metal',
            'text' => 'All that the chain runs on: a waxed chain on oily teeth is dirty at once.',
            'verb' => 'Start step by step',
        ],
        'buy' => [
            'title' => 'Get a new chain',
            'text' => 'Same speeds and length. Add it once you have it.',
            'verb' => 'Add chain',
        ],
        'strip' => [
            'title' => 'Strip :chain',
            'text' => 'Bath by bath until the solvent stays clear, then dry. Bare steel rusts: wax it within 12 h.',
            'verb' => 'Plan the strip',
        ],
        'wax' => [
            'title' => 'Wax :chain',
            'text' => 'Its first wax: bare steel goes into the pot first.',
            'text_drip' => 'This bike uses drip wax only: two coats before its first ride.',
            'verb' => 'Plan pot day',
        ],
        'fit' => [
            'title' => 'Fit :chain',
            'text' => 'On clean sprockets, tried under load. The first kilometres are stiff and ratchety.',
            'verb' => 'Start step by step',
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
