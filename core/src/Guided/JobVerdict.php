<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/** What becomes of a tap that arrives. */
enum JobVerdict: string
{
    case Take = 'take';
    /** Another device was first, or the same tap came twice: it counts once. */
    case AlreadyDone = 'already_done';
    /** It speaks of a turn that the job has not reached, or asks what the step does not. */
    case Refused = 'refused';
}
