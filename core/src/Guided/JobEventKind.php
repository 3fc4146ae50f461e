<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

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
    /** The sign that the step waits for was seen; if its time is up as well, the step is done. */
    case Sign = 'sign';
    /** The step is passed over; the reason is kept beside the tap. */
    case Skip = 'skip';
    /** The step before was not done after all: the job stands there again, as if nobody had tapped. */
    case Back = 'back';
    /** Something worth keeping: words, a temperature, a mass. The job stays where it is. */
    case Note = 'note';
}
