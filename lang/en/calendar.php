<?php

declare(strict_types=1);

// By the symbols that dates are written with (Dates): days from Monday, months from January.
return [
    'EEE' => ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
    'EEEE' => ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    'EEEEE' => ['M', 'T', 'W', 'T', 'F', 'S', 'S'],
    'MMM' => ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
    'MMMM' => [
        'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
    ],
    'a' => ['AM', 'PM'],
];
