<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

/** What happens to the wax in a pot. */
enum BathEventKind: string
{
    /** The pot is emptied and filled anew. */
    case Fill = 'fill';
    case TopUp = 'top_up';
    case Dip = 'dip';
    case Filter = 'filter';
    case Remove = 'remove';
    /** A temperature was read. */
    case Reading = 'reading';
}
