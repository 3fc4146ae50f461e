<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

enum ConflictKind: string
{
    /** Put on one bike while it was on another. */
    case OnAnotherBike = 'on_another_bike';
    /** Fitted, dipped, stripped, topped up or measured after it was retired. */
    case AfterRetirement = 'after_retirement';
}
