<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What to do with a chain, from its measured wear. */
enum WearVerdict: string
{
    case Keep = 'keep';
    /** It may be past its limit: measure it again. */
    case Measure = 'measure';
    case Retire = 'retire';
}
