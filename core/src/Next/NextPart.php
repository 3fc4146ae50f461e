<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** The three parts of Next: what cannot wait, what makes an evening's work, and what any day will do for. */
enum NextPart: string
{
    case Now = 'now';
    case Bench = 'bench';
    case AnyDay = 'any_day';

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
