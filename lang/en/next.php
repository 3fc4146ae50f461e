<?php

declare(strict_types=1);

return [
    'any_day' => 'Any day',
    'late' => 'late',
    'by' => 'by :time',
    'before' => 'before :km',
    'title' => [
        'bare' => 'Wax :full before it rusts',
        'wet' => 'Dry :full, then swap to :swap',
        'wet_dip' => 'Dry :full and dip it',
        'overdue' => 'Swap :bike to :swap',
        'overdue_dip' => 'Dip :full before the next ride',
        'outrun' => 'Swap :bike to :swap',
        'none_waxed' => 'Heat the pot for :bike',
        'none_waxed_strip' => 'No waxed chain for :bike',
        'spent_waiting' => 'Dip :chains',
        'worn' => 'Retire :full',
        'no_chain' => 'Say which chain :bike had on',
    ],
    'reason' => [
        'bare' => 'Bare for :bare. Steel rusts after 12 h.',
        'bare_late' => 'Bare for :bare: look for rust, then wax it.',
        'wet' => 'Ridden :wet_km in the wet on :wet_day and not seen to since. Bare spots rust overnight.',
        'overdue_distance' => ':chain has no wax left after :ridden of riding; it is due at :interval of dry road.',
        'overdue_hours' => ':chain has been ridden for its :hours.',
        'overdue_noise' => ':chain got loud after :ridden.',
        'overdue_wet' => ':chain was ridden in the wet.',
        'outrun' => ':chain has :left left and :day is usually :ride. :swap hangs ready with :swap_left.',
        'outrun_average' => ':chain has :left left at :weekly a week. :swap hangs ready with :swap_left.',
        'none_waxed' => 'Nothing waxed hangs ready, and :chain has :left left. Take :chains.',
        'spent_waiting' => 'Spent and waiting for the pot. Together they take hardly longer than one.',
        'worn' => 'Measured :wear, its limit is :limit. A worn chain eats the cassette.',
        'no_chain' => '{1} One ride, on :ride_day, has no chain to go to.|[2,*] :rides rides from :ride_day on have no chain to go to.',
    ],
];
