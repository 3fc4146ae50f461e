<?php

declare(strict_types=1);

return [
    'title' => [
        'left' => 'Why :value of wax left?',
        'good_until' => 'Why in :value days?',
        'bare' => 'Why :value until it rusts?',
        'km' => 'Why :value in all?',
        'wear' => 'Why :value of wear?',
    ],
    'formula' => [
        'left' => 'left = interval − Σ km × factor, never below 0; a top-up adds its distance, never above the interval',
        'good_until' => 'the first coming day whose usual ride is longer than the wax left by then; without usual rides: left ÷ weekly distance',
        'bare' => 'hours left = 12 h − hours since the last bath',
        'km' => 'distance = Σ km of every ride that started with this chain on the bike',
        'wear' => 'rule: 100 × (length ÷ (pitches × 12.7 mm) − 1); digital: value − zero; drop-in: the tightest interval of its marks; the worst spot counts',
    ],
    'source' => [
        'left' => 'Intervals and top-ups: common practice. Factors for conditions: house rules, yours to change in Settings.',
        'good_until' => 'House rule, an estimate: the last eight weeks before today, in distance of dry road; a weekday counts as usual if ridden in four of them.',
        'bare' => 'Common practice: wax within 12 hours.',
        'km' => 'Your logbook.',
        'wear' => 'Pitch 12.7 mm: ISO 9633. Reading a drop-in gauge: common practice; part-way means within 0.1 % below the mark: house rule.',
    ],
    'line' => [
        'interval' => 'Interval of the bike',
        'ride' => ':at: :km :condition × :factor',
        'topup' => 'Drip top-up',
        'hours' => 'Hours ridden, of :limit',
        'noise' => 'It got loud since: nothing is left, whatever the count says',
        'left' => 'Wax left now',
        'weekly' => 'Distance a week, last eight weeks',
        'usual' => 'Usual :weekday',
        'short' => 'Missing :date',
        'limit' => 'Limit',
        'bare_since' => 'Bare since :at',
        'before_cycle' => 'Up to the last dip',
        'in_cycle' => 'Since the last dip',
        'ruler' => 'Length over :pitches pitches',
        'digital' => 'Gauge showed, zero at :zero',
        'uncertainty' => 'Standard uncertainty',
        'seat_rests' => 'Rests on the roller: below',
        'seat_part' => 'Goes in part of the way: just below',
        'seat_enters' => 'Enters: at least',
        'measured_at' => 'Measured :at, on the chain by then',
    ],
    'left_after' => 'leaves :left',
    'origin' => [
        'logbook' => 'logbook',
        'setting' => 'setting',
        'house_rule' => 'house rule',
        'common_practice' => 'common practice',
        'computed' => 'computed',
    ],
];
