<?php

declare(strict_types=1);

/** Sizing a new chain. */
return [
    'cut' => 'keep :cut, cut here',
    'keep' => 'Keep :cut pitches of the new chain; with its quick link it has :pitches.',
    'keep_all' => 'Keep :cut pitches of the new chain, its pin joins them.',
    'note' => [
        'like_the_old' => 'Lay it beside the old one, stretched by nothing but its own weight, and cut at the same link.',
        'link_replaces_outer' => 'The quick link replaces one outer link of the old chain: cut so that the new one ends in inner links on both sides.',
        'pin_needs_the_outer' => 'A pin joins an inner and an outer link: leave the outer link on that the old quick link stood in for.',
    ],
    'derailleur' => 'By geometry :exact pitches around the largest ring and sprocket (handbook: :handbook), two more for the derailleur, up to the next even number: :pitches.',
    'single' => 'By geometry :exact pitches (handbook: :handbook), up to the next even number: :pitches.',
    'axle' => 'For :pitches the axle goes :back mm back; for :shorter it would go :forward mm forward.',
    'check_single' => 'Check it on the bike before you cut, with the axle in the middle of its way. Ask a qualified mechanic where in doubt.',
    'check' => 'Check it on the bike before you cut: largest ring, largest sprocket, past the derailleur. A chain that is too short breaks things; ask a qualified mechanic where in doubt.',
];
