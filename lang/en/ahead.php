<?php

declare(strict_types=1);

/** The weeks ahead in sentences. */
return [
    'head' => [
        'none' => 'No pot day is needed until :day',
        'days' => '{1} One pot day carries you to :day|[2,*] :count pot days carry you to :day',
        'blocked' => ':day cannot be ridden on wax',
        'broken' => 'This plan breaks on :day',
        'nothing' => 'No bike has a chain to plan with',
    ],
    'about' => ':pots:time in all:drips, every ride on wax',
    'too_much' => '; :more more than :hours a week, all you are willing to spend: a longer interval, one chain more or fewer pot days would save some',
    'worth' => ' (worth :money)',
    'drips' => '{0}|{1}, one top-up|[2,*], :count top-ups',
    'evening' => 'on the evening of :day', 'morning' => 'on the morning of :day',
    'pot' => 'Pot day :day: :chains, :time', 'pot_none' => 'Pot day :day: nothing to dip',
    'broken' => ':bike’s :km on :day take :needs of wax, and :chain would have :left.',
    'blocked' => ['short' => 'On :day no chain of :bike has the :needs of wax that :km take, however the pot days are chosen.', 'long' => 'On :day :bike is to go :km, which take :needs of wax, more than its interval: it wants a chain fresh from the pot.'],
    'remedy' => ['any_day' => 'Heat the pot on any day of the week', 'chain' => 'One more chain for :bike', 'bottle' => 'One top-up more between two dips', 'does' => ':time in all', 'later' => 'carries to :day', 'not' => 'does not help'],
    'repair' => ['bottle' => 'Drip :chains :day (:time)', 'pot' => 'A pot day on :day (:time)', 'more' => ':time more', 'same' => 'no more time'],
    'lane' => ['interval' => 're-wax at :interval', 'drip' => 'drip wax every :interval', 'habit' => 'as in the last eight weeks', 'planned' => 'as planned'],
    'day' => ['rest' => ':day: no ride; :left on :chain', 'ride' => ':day: :km on :chain, then :left', 'ride_wax' => ':day: :km on :chain, for which the road and the margin take :needs of wax; then :left', 'swap' => 'swap to :chain, :off comes off', 'drip' => 'dripped the evening before: :chains, dry by :time', 'pot' => 'fresh from the pot', 'kept' => ':day: :event, on :chain, which is kept for it', 'measure' => 'to be measured: :chains', 'broken' => ':day: :km take :needs of wax, and no chain has it; :chain has :left', 'name' => ':name'],
    'doubt' => ['short' => ':day, :bike: looked at closely, :chain would have :left for :km.', 'ready' => ':day, :bike: :chain would not be dry by then.'],
    'buy' => [
        'pieces' => ':quantity × :supply', 'measured' => ':quantity of :supply', 'worn' => 'a chain of :bike reaches its limit, and too few are left; two weeks to strip and wax it', 'few' => ':bike has fewer chains than it wants', 'new_chain' => 'for the new chain of :bike', 'used_up' => 'one on :bike was closed as often as its maker allows',
        'bath_low' => 'the planned dips would take the bath too low', 'bath_spent' => 'the bath is spent', 'bottles_empty' => 'the bottles run out', 'no_bottle' => 'top-ups are planned and no bottle is on the shelf', 'strip' => 'to strip the new chain of :bike, unless the jars do it',
    ],
    'calendar' => [
        'name' => 'Dripel: :workshop', 'pot' => 'Heat the pot: :chains', 'swap' => 'Swap :bike to :chain', 'drip' => 'Drip :chain', 'measure' => 'Measure :chain', 'bare' => 'Wax :chain before it rusts', 'ride' => ':name, :bike :km',
        'pot_text' => 'About :time. Gloves, sleeves, never leave the pot, no flame. Follow the wax’s own sheet.', 'drip_text' => 'Clean and dry first, no solvent. It dries overnight.', 'swap_text' => 'Before the ride of the day. Mind that the quick link clicks.',
    ],
];
