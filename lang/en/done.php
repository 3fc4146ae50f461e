<?php

declare(strict_types=1);

/** What the bar at the foot says after an action, beside its Undo. */
return [
    'add_bike' => 'Added :bike.',
    'change_bike' => 'Changed :bike.',
    'add_chain' => 'Added :chain.',
    'change_chain' => 'Changed :chain.',
    'retire_chain' => 'Retired :chain.',
    'fit_chain' => 'Swapped :bike to :letter.',
    'log_ride' => 'Logged :km on :bike.',
    'edit_ride' => 'Changed the ride: now :km on :bike.',
    'dip_chains' => 'Dipped :chains.',
    'strip_chain' => 'Stripped :chain. Wax it within 12 hours.',
    'top_up_chain' => 'Topped up :chain. Let it dry overnight.',
    'record_reading' => 'Measured :chain: :wear.',
    'report_noise' => ':bike got loud: its chain is due.',
    'move_entry' => 'Moved.',
    'delete_entry' => 'Deleted.',
    'change_workshop' => 'Changed the workshop.',
    'undo' => 'Taken back.',
    'fit_none' => 'Took :off off :bike.',
    'nothing_changed' => 'Nothing was different.',
];
