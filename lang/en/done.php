<?php

declare(strict_types=1);

/** What the bar at the foot says after an action, beside its Undo. */
return [
    'arrive' => 'Brought in :what.',
    'correct_opening' => 'Corrected. Everything that follows is put right.',
    'estimate_distance' => 'Estimated :km on :bike, :each a day.',
    'change_estimate' => 'Changed the estimate: :km, :each a day.',
    'estimate_noted' => 'Noted :odometer on :bike.',
    'set_commute' => 'Set the commute on :bike.',
    'confirm_commute' => 'Confirmed :days on :bike, :km.',
    'not_ridden' => 'Not ridden: :days on :bike.',
    'move_rides' => 'Moved :rides to :bike.',
    'split_ride' => 'Split the ride after :first.',
    'correct_fitting' => 'Put right: :letter was on :bike since :at.',
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
    'restored' => 'Restored the workshop.',
    'emptied' => 'Emptied the workshop. A backup was kept.',
    'undo' => 'Taken back.',
    'fit_none' => 'Took :off off :bike.',
    'nothing_changed' => 'Nothing was different.',
];
