<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\Deadline;
use Dripel\Core\Plan\DeadlineKind;

/** Chains that are kept for an event and come into no pot of the plan in time for it. */
final readonly class EventDips implements NextSource
{
    public function items(NextInput $in): array
    {
        return array_values(
            array_map(function (Deadline $deadline) use ($in): NextItem {
                $chain = $in->book->chain($deadline->chainId, $in->nowS);

                return new NextItem(NextKind::EventDip, $deadline->bikeId, [$chain], $deadline->by, Verb::PotDay);
            }, array_filter($in->plan->missed(), fn(Deadline $deadline) => $deadline->kind === DeadlineKind::Event)),
        );
    }
}
