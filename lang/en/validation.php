<?php

declare(strict_types=1);

/** What is wrong with a field and how to mend it. Framework defaults serve for the rest. */
return [
    'accepted' => 'Check it and tick the box: it cannot be skipped.',
    'array' => 'Choose from what is offered.',
    'between' => [
        'numeric' => 'Enter a number from :min to :max.',
    ],
    'boolean' => 'Choose yes or no.',
    'date_format' => 'Enter it as :format.',
    'distinct' => 'It is in the list twice. Remove one.',
    'duration' => 'Enter hours as 2:15, 2 h 15 or 2.25.',
    'email' => 'Enter an e-mail address.',
    'enum' => 'Choose one of those offered.',
    'file' => 'Choose a file.',
    'gt' => [
        'numeric' => 'Enter a number above :value.',
    ],
    'gte' => [
        'numeric' => 'Enter :value or more.',
    ],
    'in' => 'Choose one of those offered.',
    'integer' => 'Enter a whole number.',
    'lowercase' => 'Use small letters.',
    'lt' => [
        'numeric' => 'Enter less than :value.',
    ],
    'lte' => [
        'numeric' => 'Enter :value or less.',
    ],
    'max' => [
        'string' => 'Use at most :max characters.',
        'array' => 'Choose at most :max.',
        'numeric' => 'Enter :max or less.',
    ],
    'min' => [
        'string' => 'Use at least :min characters.',
        'array' => 'Choose at least :min.',
        'numeric' => 'Enter :min or more.',
    ],
    'multiple_of' => 'A chain has an even number of pitches, its quick link counted. Count again.',
    'numeric' => 'Enter a number.',
    'present' => 'Fill this in.',
    'regex' => 'Use letters and digits only.',
    'required' => 'Fill this in.',
    'required_if' => 'Fill this in.',
    'string' => 'Enter text.',
    'timezone' => 'Choose a time zone from the list.',
    'unique' => 'There is an account with this already. Sign in instead.',
    'uploaded' => 'The file did not arrive whole. Try again.',
    'uuid' => 'Reload the page and try again.',
];
