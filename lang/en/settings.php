<?php

declare(strict_types=1);

return [
    'bike.name' => 'name',
    'bike.kind' => 'kind',
    'bike.speeds' => 'speeds',
    'bike.interval_km' => 'interval',
    'bike.interval_hours' => 'interval in hours',
    'bike.limit_school' => 'wear limit',
    'chain.label' => 'letter',
    'chain.speeds' => 'speeds',
    'chain.pitches' => 'pitches',
    'chain.home' => 'rail',
    'part.name' => 'name',
    'link.chain' => 'chain',
    'link.closings' => 'closings allowed',
    'factor.indoor' => 'factor indoor',
    'factor.dry' => 'factor dry',
    'factor.dusty' => 'factor dusty',
    'factor.damp' => 'factor damp',
    'factor.wet' => 'factor wet',
    'factor.muddy' => 'factor muddy',
    'workshop.name' => 'name',
    'workshop.time_zone' => 'time zone',
    'workshop.distance_unit' => 'distances in',
    'workshop.temperature_unit' => 'temperatures in',
    'workshop.mass_unit' => 'masses in',
    'workshop.currency' => 'currency',
    'workshop.language' => 'language',
    'workshop.interval_km' => 'usual interval',
    'workshop.limit_school' => 'usual wear limit',
];
