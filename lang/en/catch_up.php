<?php

declare(strict_types=1);

return [
    'noted' => ':km noted. The next odometer reading counts from here.',
    'nothing_left' => ':known are logged for these days already, so nothing is left to spread.|:known are logged for these days already, so nothing is left to spread.',
    'some_known' => '{1} :known of :total are logged already; :rest go to one day.|[2,*] :known of :total are logged already; :rest go to :count days, :each each.',
    'none_known' => '{1} :total go to one day.|[2,*] :total go to :count days, :each each.',
];
