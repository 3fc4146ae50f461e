<?php

declare(strict_types=1);

return [
    'in_the_future' => 'This lies in the future. Log what has happened; check day and time.',
    'already_on' => 'This chain is on the bike already at that time. Choose another chain or another time.',
    'no_chain_on' => 'No chain is on the bike at that time, so none can come off.',
    'already_undone' => 'This was taken back already.',
    'invitation_used' => 'This invitation was used or is too old. Ask the owner for a new one.',
    'not_signed_in' => 'That e-mail and password do not go together. Try again; who forgot it can have it set with php artisan dripel:password.',
    'label_taken' => 'This bike has a chain :label already. Take another letter.',
    'name_taken' => 'There is a bike called :name already. Take another name.',
    'same_track' => 'This very track was logged already, :km on :bike, :at. Nothing was added.',
    'same_track_short' => 'This very track was logged already. Nothing was added.',
    'km_range' => 'A ride is more than 0 and at most 2000 km. Check the distance.',
    'file_too_large' => 'The file is larger than :megabytes MB. Export the ride alone, or with fewer points.',
    'upload_failed' => 'The file did not arrive whole. Try again.',
    'file' => 'This file :problem',
    'input' => 'This :problem.',
    'action_taken' => 'This form was used for something else already. Reload the page and try again.',
    'conflict' => [
        'on_another_bike' => ':chain is on :bike at that time. Take it off there first, or check the time.',
        'after_retirement' => ':chain was retired before that. Take it back into use first, or check the time.',
    ],
];
