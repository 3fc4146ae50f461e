<?php

declare(strict_types=1);

/** The pot day: its plan, the steps of the job and what is to be minded at each. */
return [
    'waxed_so' => [
        'fully' => 'Waxed fully',
        'partly' => 'Partly: counts half',
        'no' => 'No',
    ],
    'job_title' => 'Pot day, :day',
    'about' => ':wax, :grams, :chains',
    'chains' => '{1} one chain|[2,*] :count chains',
    'it_them' => '{1} it|[2,*] them',
    'planned' => 'Begin :at: prepare, plug in, and it is done about :done. A reminder for somebody who is there, never a timer socket.',
    'recorded_none' => 'Recorded: no chain was waxed.',
    'recorded' => 'Recorded: the chains are waxed, the last hung at :time.',
    'program' => [
        'low' => 'low all through',
        'high' => 'high all through',
        'high_then_low' => 'high until it is hot, then low',
    ],
    'soak' => [
        'bubbles' => 'until the bubbles stop, at least 2 min',
        'five' => 'at least 5 min',
        'five_to_ten' => '5 to 10 min',
        'ten' => '10 min',
        'hour' => 'an hour on low',
    ],
    'drain' => [
        'slow' => 'lift slowly, drain over the pot',
        'swing' => 'cool 30 s, swing it off outdoors',
        'drip' => 'lift hot, let it drip',
    ],
    'rinse' => [
        'straight' => 'straight in',
        'hot_water' => 'hot water first',
        'two_jars' => 'two jars first',
    ],
    'dry_by' => [
        'warm_air' => 'warm air',
        'air' => 'an hour in the air',
    ],
    'starts_now' => 'Begun now, the pot is plugged in at :plug and all is done about :done, :all in all.',
    'when' => ':day at :time',
    'when_today' => 'at :time',
    'starts' => 'Begin :at, plug in at :plug, and all is done about :done. A reminder for somebody who is there, never a timer socket.',
    'ready' => 'The last may be ridden :at.',
    'too_late' => 'Too late for :by: begun now it is done about :done.',
    'batches' => '{1} One batch; the pot takes :capacity.|[2,*] :count batches; the pot takes :capacity.',
    'at_once' => '{1} one coil at a time|[2,*] :count coils at once',
    'brings' => [
        'first' => 'bare steel',
        'clean' => 'not ridden',
        'ridden' => 'ridden :condition',
        'rinsed' => 'ridden :condition, rinsed',
    ],
    'by_steel' => 'until the steel is as warm as the bath',
    'by_school' => 'by its school',
    'shock' => ':bath → :mixed when it goes in',
    'unmeasured' => 'Not measured since it was ridden: :chains. Common practice is to measure before the pot.',
    'fresh_jar' => ':ml of white spirit in a lidded jar',
    'link_in' => 'its quick link tied on',
    'link_out' => 'its quick link stays out',
    'lane' => [
        'pot' => 'Pot',
    ],
    'block' => [
        'heat' => 'heat up',
        'hold' => 'hold below the limit',
        'jars' => 'jar',
        'rinse' => 'rinse',
        'dry' => 'dry',
        'under' => 'under',
        'drain' => 'drain',
        'set' => 'set',
        'flex' => 'flex',
    ],
    'block_title' => ':what, :from to :to, :state',
    'block_state' => [
        'done' => 'done',
        'now' => 'under way',
        'ahead' => 'to come',
    ],
    'smear' => [
        'yes' => 'It smears',
        'no' => 'It does not: oil added',
        'again' => 'You added :oil of lamp oil. Stir, dip the blade again and let it set. Still no smear: add :second more.',
        'enough' => 'So much oil is enough by the house rule. Stir, test once more, and go on.',
    ],
    'bath' => [
        'none' => 'no reading yet: type one, or connect a probe',
        'typed' => 'typed at :time',
        'probe' => 'probe, :seconds ago',
        'silent' => 'the probe is silent since :time: type it',
        'expected' => 'expected now: :celsius',
        'over' => 'Above :limit, the limit of this wax. Switch off at the plug, leave the lid on, stay with it. No chain goes in until it has come down. Smoke: everybody out; a wax fire is smothered with the lid, never with water.',
    ],
    'tick' => [
        'gloves' => 'Gloves on, sleeves down',
        'nobody_small' => 'Nobody small near the pot',
        'jars_away' => 'Solvent jars are shut and out of the room',
        'open_air' => 'Jars in the open air, no flame or spark near',
        'stay' => 'Somebody stays with the pot until it is off',
        'thermometer' => 'The thermometer is in the pan',
        'no_smell' => 'No smell of solvent is left',
        'bone_dry' => 'Bone dry: no drop between pins and rollers',
        'dry' => 'Dry: no water, no solvent',
        'rust_looked' => 'It was bare for long: looked at, no rust',
    ],
    'step' => [
        'prepare' => [
            'title' => 'Before the heat',
        ],
        'turn_block' => [
            'title' => 'Turn the block over',
        ],
        'plug_in' => [
            'title' => 'Plug in',
        ],
        'to_low' => [
            'title' => 'Down to low',
        ],
        'jar_first' => [
            'title' => 'Dirty jar',
        ],
        'jar_second' => [
            'title' => 'Clean jar',
        ],
        'jar_dry' => [
            'title' => 'Air until no smell is left',
        ],
        'rinse' => [
            'title' => 'Rinse it hot',
        ],
        'dry' => [
            'title' => 'Bone dry?',
        ],
        'heat' => [
            'title' => 'Let it melt',
        ],
        'smear' => [
            'title' => 'Does it smear?',
        ],
        'stir' => [
            'title' => 'Stir',
        ],
        'weigh_before' => [
            'title' => 'Weigh before',
        ],
        'check' => [
            'title' => 'Dry, no smell?',
        ],
        'in' => [
            'title' => 'In, and swish',
        ],
        'under' => [
            'title' => 'Leave it under',
        ],
        'recover' => [
            'title' => 'Let the bath come back',
        ],
        'lift' => [
            'title' => 'Lift and drain',
        ],
        'hang' => [
            'title' => 'Hang it up',
        ],
        'powder' => [
            'title' => 'Dust with powder',
        ],
        'off' => [
            'title' => 'Pot off, lid on',
        ],
        'set' => [
            'title' => 'Let it set',
        ],
        'weigh_after' => [
            'title' => 'Weigh after',
        ],
        'flex' => [
            'title' => 'Flex every joint',
        ],
    ],
    'text' => [
        'prepare' => 'Chains on their wires, hooks over a rag, everything within reach. :kind',
        'turn_block' => 'A set block with additives goes in the other way up, so that its core does not lie on the hot bottom.',
        'plug_in' => ':power W, lid on. From here on somebody stays.',
        'plug_in_high' => 'High, :power W, lid on. It goes down to low once it is hot. From here on somebody stays.',
        'to_low' => 'Turn it down: low holds it.',
        'jar_first' => ':chains into :jar, :least; shake now and then, vent slowly.',
        'jar_second' => 'Fish :many out, wipe, into :jar, :least.',
        'jar_dry' => 'Hang :chains outdoors for hours, until nothing smells. The pot is not plugged in before.',
        'rinse' => 'Chains in a colander in the sink. Boiling water over :chains while shaking, away from you. Then hang :many.',
        'dry_warm_air' => 'Warm air along :chains until no water is left between pins and rollers. The pot heats meanwhile.',
        'dry_air' => ':chains in the air for an hour or more. Water hides between pins and rollers.',
        'heat' => 'To :target. Watch for smoke: it is far too hot then. A chain may lie on the solid wax and sink in as it melts, if it is dry.',
        'smear' => 'Dip a cold blade, let it set, rub it. If it does not smear under a finger, add :oil of lamp oil and stir.',
        'stir' => 'Blends separate in the heat: stir from the bottom, before every dip.',
        'weigh_before' => 'Put :chains on the scale and type what each weighs.',
        'check' => 'Look at :chains, smell, feel. A wet chain in hot wax spits. This cannot be skipped.',
        'in' => ':chains into the wax, :link. Swish for 10 to 20 seconds. The bath goes to about :mixed.',
        'under' => 'Nudge :many now and then; stay while bubbles rise. When none come, all the wax that will go in is in. At least :least; the steel itself is as warm as the bath after :warm.',
        'under_bubbles' => 'Keep nudging :many while bubbles rise: the air leaves the pins. When none come it is over, mostly after :least; the steel itself is as warm as the bath after :warm.',
        'under_hour' => 'It lies there for :least: swish :many now and once more at the end, and look for bubbles then. In between it needs nothing. The steel itself is as warm as the bath after :warm.',
        'recover' => 'What went in has cooled the bath. The next chains wait until it is as warm as before; those that are under need not.',
        'lift_slow' => 'Slowly and straight, shake gently, let it drain over the pot: a thin coat, wax saved. If it crackles or foams: out, and switch off.',
        'lift_swing' => 'Out, half a minute to cool, then swing the excess off outdoors, away from everybody.',
        'lift_drip' => 'Lift it hot and let it drip over the pot.',
        'hang' => ':chains over a rag or card.',
        'powder' => 'While the coat is soft: dust :chains with the friction powder.',
        'off' => 'Switch off at the plug, lid on. It stays hot for an hour: nobody small near it.',
        'set' => ':least on the hook. Then it is stiff and dry to the touch.',
        'weigh_after' => 'Put :chains on the scale again.',
        'flex' => 'Over a broom handle until every joint of :chains moves. Scrape the end links so that the quick link closes.',
    ],
    'caution' => [
        'gloves' => 'Gloves on, sleeves down.',
        'smoke' => 'Smoke: switch off at the plug, lid on, never water.',
        'wet' => 'No chain wet with water or solvent goes in.',
        'flash' => 'Lamp oil in it: stay below its flash point, by its own sheet.',
        'boiling' => 'Boiling water scalds: colander in the sink, pour away from you.',
        'water' => 'Warm air only for a chain wet with water, never with solvent.',
        'solvent' => 'Open air, no flame, closed jars, by the sheet of the very solvent.',
        'waste' => 'Spent solvent is hazardous waste: collect it.',
        'no_heat' => 'No heat on a chain wet with solvent. The pot stays unplugged.',
        'brakes' => 'Keep wax off brake discs and pads.',
        'hot_still' => 'The pot is still hot: lid on, nobody small near.',
        'powder' => 'Do not breathe the powder; by its own sheet.',
        'cooling' => 'The wax stays hot for an hour. Never used for food again.',
    ],
    'warning' => [
        'never_melts' => 'On :power W it never melts: it would stay at :end. Take high, or less wax.',
        'never_hot' => 'On :power W it never reaches :target: it would stay at :end. Take high, or a lower temperature.',
        'overfull' => 'Too full: it runs over with a chain in it. Take wax out first.',
        'too_low' => 'The wax does not cover a coiled chain. Top up first, or turn the chain in it.',
        'overheats' => 'It would pass :limit, the limit of this wax, about :at. Take high until it is hot, then low; or switch off in time.',
        'freezes' => 'A cold chain makes wax set around it. Warm the chains first, or take more heat.',
        'dirty_first' => 'A cleaner chain goes in after a dirtier one: its wax takes up what that leaves in the bath. The cleanest first, the muddiest last.',
        'gritty' => 'Grit is at :grit: filter the wax first.',
        'spent' => 'This wax was overheated once. Replace it if it is a blend.',
    ],
];
