<?php

declare(strict_types=1);

return [
    'never' => 'never',
    'and' => ':first and :last',
    'today' => 'today',
    'tomorrow' => 'tomorrow',
    'yesterday' => 'yesterday',
    'none' => 'none',
    'below' => 'below :figure',
    'at_least' => 'at least :figure',
    'unknown' => 'unknown',
];
