<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** How pressing it is to wax a bare chain. */
enum BareState: string
{
    case Ok = 'ok';
    /** A quarter of the time or less is left. */
    case Soon = 'soon';
    /** The time is up: rust. */
    case Late = 'late';
}
