<?php

declare(strict_types=1);

return [
    'and' => ':first and :last',
    'today' => 'today',
    'tomorrow' => 'tomorrow',
    'yesterday' => 'yesterday',
    'none' => 'none',
    'below' => 'below :figure',
    'at_least' => 'at least :figure',
    'unknown' => 'unknown',
    'times' => '{1} once|{2} twice|[3,*] :count times',
];
