<?php

declare(strict_types=1);

/** How worn a chain is, and what follows. */
return [
    'now' => [
        'keep' => 'Keep it: about :mean % now, in eight of ten cases :p10 to :p90.',
        'measure' => 'Measure it whenever it comes off: about :mean % now, :p10 to :p90 in eight of ten cases, so with :likely it is past :limit already.',
        'retire' => 'Retire it: about :mean % now, and the limit is :limit. A worn chain eats the cassette.',
    ],
    'retire_reading' => 'Retire it: measured to have reached its limit of :limit. A worn chain eats the cassette.',
    'now_of' => 'about :mean % now, limit :limit',
    'point' => 'Waxed every :interval it lives :life',
    'unknown_km' => 'how far it went is not known',
    'never' => 'never measured', 'new' => 'new, not ridden yet',
    'own' => [
        'counts' => 'Moved by :count chains of your own: they wear :times. A chain is told by the others of its bike, where two or more were measured, else by all.',
        'few' => '{0} From :fewest measured chains of your own on, these move it.|[1,*] One measured chain of your own speaks so far; from :fewest on they move it.',
    ],
    'limit' => ':limit comes in about :km50, in eight of ten cases between :km10 and :km90.',
    'limit_open' => ':limit comes in about :km50, in one of ten cases before :km10.',
    'limit_never' => ':limit is further off than anybody rides.',
    'measure_by' => 'Measure again by :at on it, in :ahead.',
    'alone' => [
        'keep' => 'Below its limit of :limit. How far it went is not known, so nothing is foreseen: measure it whenever it comes off.',
        'retire' => 'Retire it: that reaches its limit of :limit. A worn chain eats the cassette.',
    ],
    'why' => '{0} Nothing was measured yet. Waxed every :interval, a chain is taken to wear :rate % in {km:1000}, up to :factor times as fast or as slow in two of three cases (house rule).|{1} From one reading, and what a chain waxed every :interval is taken to wear: :rate % in {km:1000}, up to :factor times as fast or as slow in two of three cases (house rule).|[2,*] From :count readings, and what a chain waxed every :interval is taken to wear: :rate % in {km:1000}, up to :factor times as fast or as slow in two of three cases (house rule).',
    'why_own' => 'That is moved by :count other chains of yours, which wear :times.',
    'why_limit' => 'The limit is :limit. :school',
    'as_expected' => 'as the house rule expects',
    'faster' => ':times times as fast as the house rule expects',
    'slower' => ':times times as slowly as the house rule expects',
    'reads' => [
        'value' => 'That reads :value %, give or take :sigma.',
        'below' => 'That reads less than :upper.',
        'above' => 'That reads :lower or more.',
        'between' => 'That reads between :lower and :upper.',
    ],
    'spots' => [
        'even' => 'The spots lie :spread % apart: no more than the instrument. The worst counts.',
        'even_seats' => 'The spots agree. The worst counts.',
        'uneven' => 'The spots lie :spread % apart, more than the instrument explains: an uneven chain, or a stiff link. The worst counts; flex every joint and look again.',
        'uneven_seats' => 'The gauge sits differently from spot to spot: an uneven chain, or a stiff link. The worst counts; flex every joint and look again.',
    ],
    'even' => [
        'even' => 'All within a twentieth of a percent: they wear evenly.',
        'ride' => 'Ride :least next: it is the least worn, :most is :apart % ahead of it.',
        'dip' => 'Wax :least and ride it next: it is the least worn, :most is :apart % ahead of it.',
        'ride_then' => 'Of those that are ready ride :ready next, and wax :least: it is the least worn, :most is :apart % ahead of it.',
    ],
    'supply' => [
        'wanted' => '{1} one chain|[2,*] :count chains',
        'too_few' => '{0} No chain is left within its limit, and the bike wants :wanted. Buy one.|{1} One chain is left within its limit, and the bike wants :wanted. Buy one.|[2,*] :count chains are left within their limit, and the bike wants :wanted. Buy one.',
        'enough' => '{1} One chain, and no end to it is foreseen.|[0,*] :count chains, and no shortage is foreseen.',
        'buy_by' => '{1} Buy the next chain by :by: :chain may reach its limit by :short.|[0,*] Buy the next chain by :by: by :short there may be fewer than :wanted, when :chain reaches its limit.',
    ],
    'advice' => [
        'interval' => 'Re-wax it about every :interval.',
        'floor' => '{1} One chain of it wears :times. No advice goes below :floor (house rule); even so it would live about :lives, not :life.|[2,*] :count chains of it wear :times. No advice goes below :floor (house rule); even so they would live about :lives, not :life.',
        'outside' => 'That lies outside what was measured: the life points do not reach so far.',
        'missing' => '{0} Measure :fewest chains of it on wax before its wear advises an interval.|[1,*] One chain of it was measured. Measure a second, or the same one :readings times over :over, before its wear advises an interval.',
        'is' => 'It is re-waxed every :interval: near enough.',
        'now' => 'It is re-waxed every :interval now.',
        'noise' => '[0,*] By then one dip in five has been heard; its wear would let it go further.',
        'cap' => '{0} Further than the long school nobody rides.|{1} One chain of it wears :times; further than the long school nobody rides.|[2,*] :count chains of it wear :times; further than the long school nobody rides.',
        'wear' => '{1} One chain of it wears :times; so waxed, chains should live :life.|[2,*] :count chains of it wear :times; so waxed, chains should live :life.',
    ],
    'ear' => [
        'all' => '{1} One dip in five is heard within :interval of dry road (:low to :high in eight of ten cases), half by :median. From one that got loud and :quiet that were still quiet.|[2,*] One dip in five is heard within :interval of dry road (:low to :high in eight of ten cases), half by :median. From :count that got loud and :quiet that were still quiet.',
        'summer' => '[1,*] April to September: within :interval (:low to :high), from :count that got loud and :quiet that were quiet.',
        'winter' => '[1,*] October to March: within :interval (:low to :high), from :count that got loud and :quiet that were quiet.',
        'cycle' => ['noise' => ':chain loud after :km, :day', 'pulled' => ':chain quiet until :km, :day', 'open' => ':chain quiet so far, :km'],
    ],
    'instrument' => [
        'usual' => ['ruler' => 'A steel rule', 'drop_in' => 'A drop-in gauge', 'digital' => 'A digital gauge'],
        'about' => ['ruler' => 'over :pitches pitches, ± :sigma %', 'drop_in' => 'marks at :marks', 'digital' => '± :sigma %, shows :zero when closed'],
        'house' => '(house rule)',
        'pitches' => ':long pitches on a rule of 60 cm read to ± :long_sigma %, :short on a short one only to ± :short_sigma %. Hang the chain or pull it straight; from edge to edge of the same side of a pin.',
    ],
    'part' => [
        'outlived' => '{0} outlived no chain yet, of :least to :most|{1} outlived one chain, of :least to :most|[2,*] outlived :count chains, of :least to :most',
        'on_trainer' => ':name, on the trainer', 'drawer' => 'in the drawer', 'retired' => 'out of use since :day',
        'past' => ':km were ridden on it with a chain past its limit: a new chain may skip on it under load. Try it gently, both replaced together if it does.',
        'old' => 'It has outlived what a cassette does: a new chain may skip on it under load. Try it gently, both replaced together if it does.',
    ],
    'retire' => [
        'on' => 'It is on :bike and comes off: fit another one before the next ride.',
        'few' => '{0} Then no chain is left for :bike. Buy one.|{1} Then only :chains is left for :bike: none to swap to while it waits for the pot. Buy one.|[2,*] Then only :chains are left for :bike, and it wants more. Buy one.',
        'left' => '{1} :bike has :chains left.|[0,*] :bike has :chains left.',
    ],
    'life' => [
        'km' => 'Ran', 'rides' => 'Rides', 'dips' => 'Dips', 'days' => 'In use', 'wear' => 'Last measured', 'cost' => 'Cost', 'per' => 'Per :distance',
        'and_topups' => '{1} :dips, and one drip top-up|[2,*] :dips, and :count drip top-ups',
        'for_days' => '{1} one day, from :from|[2,*] :count days, from :from',
        'no_price' => 'no price known', 'paid_before' => 'paid before it came',
        'parts' => ':total (chain :chain, quick links :links, wax :wax:drip)', 'drip' => ', drip wax :drip',
    ],
];
