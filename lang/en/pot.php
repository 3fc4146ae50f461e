<?php

declare(strict_types=1);

/** Pots and the wax in them. */
return [
    'kind' => [
        'slow_cooker' => 'slow cooker',
        'rice_cooker' => 'rice cooker',
        'pan' => 'pan with a thermometer',
        'stove' => 'pot on a stove',
    ],
    'caution' => [
        'slow_cooker' => 'Low, lid on, somebody there. Never used for food again.',
        'rice_cooker' => 'Runs hotter than a slow cooker: watch the thermometer. Never used for food again.',
        'pan' => 'Only while you stand beside it with the thermometer in it. Never on an open flame.',
    ],
    'wax' => [
        'plain' => 'plain paraffin',
        'softened' => 'paraffin softened with lamp oil',
        'blend' => 'blend with additives',
    ],
    'wax_note' => [
        'plain' => '',
        'softened' => 'Without the lamp oil’s flash point it is kept below {c:80} (house rule).',
        'blend' => 'Stir before every dip; turn the set block over before melting.',
    ],
    'kind_act' => [
        'fill' => 'Fill pot',
        'top_up' => 'Top up',
        'filter' => 'Filter',
        'remove' => 'Take out',
        'reading' => 'Temperature',
    ],
    'done' => [
        'fill' => 'Filled :pot with :grams',
        'top_up' => 'Topped up :pot by :grams',
        'filter' => 'Filtered :pot',
        'remove' => 'Took :grams out of :pot',
        'reading' => 'Read :celsius in :pot',
    ],
    'holds' => ':grams, :depth deep',
    'oil' => ':percent of it lamp oil',
    'since' => 'filled :day, :dips',
    'dips' => '{0} no dip yet|{1} one dip|[2,*] :count dips',
    'left' => '{0} no dip left until a coil is bare|{1} one dip left until a coil is bare|[2,*] :count dips left until a coil is bare',
    'left_flat' => '{0} no dip left until a flat chain is bare|{1} one dip left until a flat chain is bare|[2,*] :count dips left until a flat chain is bare',
    'uncovered' => 'too low to cover a coiled chain',
    'uncovered_flat' => 'too low to cover a chain that lies flat',
    'lay' => [
        'coiled' => 'coiled on its wire',
        'flat' => 'flat on a board, zig-zag',
    ],
    'for_races' => 'kept clean for races',
    'overflow' => 'too full: it will run over with a chain in it',
    'grit' => 'grit :grit of :limit',
    'max' => 'at most :max, limit :limit',
    'never_read' => 'temperature never read, limit :limit',
    'next' => [
        'ok' => '',
        'top_up' => 'Top it up',
        'filter' => 'Filter it',
        'replace' => 'Replace the wax',
    ],
    'heat' => [
        'liquid' => 'On :power W all of it is liquid after :liquid.',
        'liquid_now' => 'It is liquid already.',
        'hot' => ':target after :hot.',
        'plug_in' => 'Plug in at :at to be ready by :by. This is a reminder for somebody who stays; never use a timer socket.',
        'worked_out' => 'For :wax in a room of :room, lid on, losing :loss W for each degree (house rules).',
        'power_last_time' => 'Watts not known: :power W, by the minutes of the last heat-up.',
        'power_usual' => 'Watts not known: :power W, by its kind and wax (house rule). Enter them from its plate.',
        'never_melts' => 'On :power W it never melts: it would stay at :end. Take high, or less wax.',
        'never_hot' => 'On :power W it never reaches :target: it would stay at :end.',
        'target_too_hot' => ':target is above the limit of this wax, :limit.',
        'overheats' => 'Left alone on :power W it would reach :end, past its limit of :limit. Stay with it and switch off in time.',
    ],
    'cost' => 'A dip takes :pickup along and costs :cost.',
    'smear' => 'Smear test: dip a cold blade and let it set. No smear: add :oil of lamp oil, to :more of the whole (house rule).',
    'calibrated' => 'Calibrated: it loses :loss W for each degree, :efficiency of its power reaches the wax.',
    'not_calibrated' => 'Not calibrated: :loss W for each degree (house rule).',
    'fitted' => 'It loses :loss W for each degree and :efficiency of its power reaches the wax; the curve then fits within :rms.',
    'probe' => [
        'never' => 'has sent nothing yet',
        'seen' => 'last seen :at',
    ],
    'empty' => 'no wax recorded yet',
    'problem' => 'The records cannot be right: more was taken out than was in it. Correct a mass, or fill it again.',
];
