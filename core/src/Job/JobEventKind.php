<?php

declare(strict_types=1);

namespace Dripel\Core\Job;

/** What somebody taps while a job runs. */
enum JobEventKind: string
{
    /** The step is done; where it asks, the answer is yes. */
    case Done = 'done';
    /** The step asks and the answer is no: back to where it says. */
    case Again = 'again';
    case Pause = 'pause';
    case Resume = 'resume';
    /** One minute more on the timer. */
    case Longer = 'longer';
}
