<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What a chain can be measured with; the value is the kind of its readings. */
enum InstrumentKind: string
{
    case Ruler = 'ruler';
    case DropIn = 'drop_in';
    case Digital = 'digital';
}
