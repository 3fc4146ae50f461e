<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What is done to a chain with a cloth, between the pot and the bottle. */
enum WipeDownKind: string
{
    /** Wiped and dried after the wet, the same day. */
    case Dried = 'dried';
    /** Run once through a dry cloth, as every few rides. */
    case Wiped = 'wiped';
}
