<?php

declare(strict_types=1);

return [
    'and' => ':first and :last',
    'today' => 'today',
    'tomorrow' => 'tomorrow',
    'yesterday' => 'yesterday',
    'none' => 'none',
    'below' => 'below :figure',
    'less_than' => 'less than :figure',
    'at_least' => 'at least :figure',
    'unknown' => 'unknown',
    'km_or_hours' => ':km or :hours',
    'km_and_hours' => ':km and :hours',
    'times' => '{1} once|{2} twice|[3,*] :count times',
];
