<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Ride files that came in by themselves and wait to be looked at. */
final readonly class RidesIn implements NextSource
{
    public function items(NextInput $in): array
    {
        return $in->ridesIn === 0
            ? []
            : [new NextItem(NextKind::RidesIn, null, [], $in->today->date, Verb::Look, about: new WaitingFiles($in->ridesIn))];
    }
}
