<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** What might help where no choice of pot days carries every ride. */
enum PlanRemedyKind: string
{
    /** The pot on any day of the week. */
    case AnyDay = 'any_day';
    /** One more chain on the rail. */
    case Chain = 'chain';
    /** One top-up more between two dips. */
    case Bottle = 'bottle';
}
