<?php

declare(strict_types=1);

return [
    'noted' => 'The first reading of this bike: :km is noted, and the next reading counts from here.',
    'nothing_left' => ':known of it are logged already, so nothing is left to spread.|:known of it are logged already, so nothing is left to spread.',
    'some_known' => '{1} :known of :total are logged already; :rest go to one day.|[2,*] :known of :total are logged already; :rest go to :count days, :each each.',
    'none_known' => '{1} :total go to one day.|[2,*] :total go to :count days, :each each.',
];
