<?php

declare(strict_types=1);

// Pages are drawn in the browser alone: nobody asks for a server that draws them.
return [
    'expose_shared_prop_keys' => false,
    'devtools' => ['enabled' => false],
    'ssr' => ['enabled' => false],
    'pages' => ['paths' => [resource_path('js/Pages')], 'extensions' => ['vue']],
];
